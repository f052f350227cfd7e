<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A reason that nobody used yet, and which holds for a week.
 *
 * @extends Factory<Reason>
 */
final class ReasonFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'offer_id' => Offer::factory(),
            'account_id' => Account::factory(),
            'user_id' => User::factory(),
            'words' => 'You seek a maintenance planner.',
            'evidence' => [],
            'expires_on' => today()->addWeek(),
        ];
    }
}
