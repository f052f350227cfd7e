<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Something an account runs.
 *
 * @property int $id
 * @property string $name
 */
final class Technology extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
