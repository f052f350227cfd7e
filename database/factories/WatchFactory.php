<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Offer;
use App\Models\User;
use App\Models\Watch;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A daily watch over all contacts.
 *
 * @extends Factory<Watch>
 */
final class WatchFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'offer_id' => Offer::factory(),
            'user_id' => User::factory(),
            'name' => fake()->unique()->numerify('Watch ####'),
            'subject' => 'contacts',
            'search' => fn (array $given): string => "on={$given['subject']}",
            'rhythm' => 'daily',
            'hour' => 6,
            'time_zone' => 'UTC',
            'mailed' => false,
            'ran_at' => now(),
            'next_at' => now()->addDay(),
        ];
    }
}
