<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\KeptList;
use App\Models\Offer;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A list of contacts that nobody owns, and which is empty.
 *
 * @extends Factory<KeptList>
 */
final class KeptListFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'offer_id' => Offer::factory(),
            'name' => fake()->unique()->numerify('List ####'),
            'subject' => 'contacts',
            'search' => fn (array $given): string => "on={$given['subject']}",
        ];
    }
}
