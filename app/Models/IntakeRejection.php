<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A row that was not taken, and why.
 *
 * @property list<string> $row
 */
final class IntakeRejection extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['row' => 'array'];
}
