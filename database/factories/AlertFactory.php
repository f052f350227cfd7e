<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Alert;
use App\Models\AlertAbout;
use App\Models\Offer;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * On Today, of all that counts.
 *
 * @extends Factory<Alert>
 */
final class AlertFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'user_id' => User::factory(), 'offer_id' => Offer::factory(), 'about' => AlertAbout::Everyone,
            'on_today' => true,
        ];
    }
}
