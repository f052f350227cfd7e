<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Models\StandingState;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * The standing of the worked example of rule 6: fit .8, push 1.1, access .5, 8 points.
 *
 * @extends Factory<Standing>
 */
final class StandingFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'account_id' => Account::factory(),
            'offer_id' => Offer::factory(),
            'rule_set_id' => fn (array $given): mixed => RuleSet::query()->where('offer_id', $given['offer_id'])
                ->max('id'),
            'state' => StandingState::Ranked,
            'fit' => .8,
            'fit_low' => .8,
            'fit_high' => .8,
            'coverage' => 1.0,
            'push' => 1.1,
            'access' => .5,
            'points' => 8.0,
            'priority' => 68.997,
            'criteria' => [],
            'lines' => [],
            'contacts' => [],
            'computed_at' => now(),
        ];
    }
}
