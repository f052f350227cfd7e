<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A rep who signs in.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Mira',
            'email' => fake()->unique()->numerify('mira####@blasvik.example'),
            'password' => 'a long password',
            'role' => Role::Rep,
        ];
    }
}
