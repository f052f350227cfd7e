<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A place of the gazetteer (GeoNames).
 *
 * @property int $id
 * @property string $name
 * @property string $folded
 * @property string $country
 * @property string|null $region
 * @property float $latitude
 * @property float $longitude
 * @property int $population
 */
final class City extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}
