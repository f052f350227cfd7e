<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A company with a domain of its own, of which nothing else is known.
 *
 * @extends Factory<Account>
 */
final class AccountFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => fn (array $given): string => ucfirst(strtok((string) $given['domain'], '.') ?: 'Account'),
            'domain' => fake()->unique()->numerify('account####.example'),
        ];
    }
}
