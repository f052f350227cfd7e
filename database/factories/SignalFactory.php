<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Signal;
use Illuminate\Database\Eloquent\Factories\Factory;
use Luftig\Core\Signal\Kind;

/**
 * A round that an account closed a week ago.
 *
 * @extends Factory<Signal>
 */
final class SignalFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'account_id' => Account::factory(),
            'kind' => Kind::Funding,
            'title' => 'Round B',
            'occurred_at' => now()->subWeek(),
            'strength' => .5,
            'confidence' => 1.0,
            'fingerprint' => sha1((string) fake()->unique()->randomNumber(8)),
        ];
    }
}
