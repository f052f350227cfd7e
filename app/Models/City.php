<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A place of the gazetteer (GeoNames). */
final class City extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
