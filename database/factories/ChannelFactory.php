<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Channel;
use App\Models\Contact;
use Illuminate\Database\Eloquent\Factories\Factory;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/**
 * A checked address of somebody.
 *
 * @extends Factory<Channel>
 */
final class ChannelFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'contact_id' => Contact::factory(),
            'type' => ChannelType::Email,
            'value' => fake()->unique()->numerify('ida####@account.example'),
            'state' => AddressState::Valid,
        ];
    }
}
