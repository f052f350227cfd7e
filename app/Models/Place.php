<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\PlaceFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * A site of an account, perhaps its headquarters.
 *
 * @property int $id
 * @property int $account_id
 * @property bool $headquarters
 * @property string|null $city
 * @property string|null $region
 * @property string|null $postal_code
 * @property string|null $country
 * @property float|null $latitude
 * @property float|null $longitude
 */
final class Place extends Model
{
    /** @use HasFactory<PlaceFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['headquarters' => 'boolean'];
}
