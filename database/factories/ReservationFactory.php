<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A person that somebody holds for today.
 *
 * @extends Factory<Reservation>
 */
final class ReservationFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'contact_id' => Contact::factory(),
            'account_id' => Account::factory(),
            'offer_id' => Offer::factory(),
            'user_id' => User::factory(),
            'until' => today(),
        ];
    }
}
