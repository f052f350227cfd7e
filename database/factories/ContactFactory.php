<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Contact;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A person at an account, without a title or an address.
 *
 * @extends Factory<Contact>
 */
final class ContactFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'account_id' => Account::factory(),
            'first_name' => 'Ida',
            'last_name' => fake()->unique()->numerify('Lie ####'),
        ];
    }
}
