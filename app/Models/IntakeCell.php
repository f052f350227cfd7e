<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A cell that could not be read, as it is written.
 *
 * @property int $id
 * @property int $intake_id
 * @property int $line
 * @property string $heading
 * @property string $written
 */
final class IntakeCell extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
