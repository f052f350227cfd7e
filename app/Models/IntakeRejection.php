<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A row that was refused, and why.
 *
 * @property list<string> $row
 * @property int $id
 * @property int $intake_id
 * @property int $line
 * @property string $reason
 */
final class IntakeRejection extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['row' => 'array'];
}
