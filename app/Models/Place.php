<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A site of an account, perhaps its headquarters. */
final class Place extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['headquarters' => 'boolean'];
}
