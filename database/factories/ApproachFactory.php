<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Offer;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * An e-mail to an account that was sent just now, and has no result.
 *
 * @extends Factory<Approach>
 */
final class ApproachFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'offer_id' => Offer::factory(),
            'account_id' => Account::factory(),
            'kind' => ApproachKind::Email,
            'snapshot' => [],
            'made_at' => now(),
        ];
    }
}
