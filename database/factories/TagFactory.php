<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Tag;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A word that records are tagged with.
 *
 * @extends Factory<Tag>
 */
final class TagFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => fake()->unique()->numerify('tag ####'),
        ];
    }
}
