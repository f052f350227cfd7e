<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Place;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A headquarters in Hobro.
 *
 * @extends Factory<Place>
 */
final class PlaceFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'account_id' => Account::factory(),
            'headquarters' => true,
            'city' => 'Hobro',
            'country' => 'DK',
            'latitude' => 56.64,
            'longitude' => 9.79,
        ];
    }
}
