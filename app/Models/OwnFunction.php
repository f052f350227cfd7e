<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\OwnFunctionFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Luftig\Core\Person\BusinessFunction;

/**
 * A function that the team defined for itself, with the words by which titles tell it.
 *
 * @property int $id
 * @property BusinessFunction $slot  which of those that are kept for it
 * @property string $name
 * @property string $words  a text query on titles
 */
final class OwnFunction extends Model
{
    /** @use HasFactory<OwnFunctionFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['slot' => BusinessFunction::class];
}
