<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\BudgetFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * How many credits a month may take, of the team as a whole or of one of it.
 *
 * @property int $id
 * @property int|null $user_id nobody: the whole team
 * @property float $credits
 */
final class Budget extends Model
{
    /** @use HasFactory<BudgetFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['credits' => 'float'];
}
