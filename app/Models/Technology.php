<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

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
