<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Attribute;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A column of a team's own.
 *
 * @extends Factory<Attribute>
 */
final class AttributeFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => fake()->unique()->numerify('Attribute ####'),
        ];
    }
}
