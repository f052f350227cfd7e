<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Contact;
use App\Models\Position;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A position that somebody held elsewhere.
 *
 * @extends Factory<Position>
 */
final class PositionFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'contact_id' => Contact::factory(),
            'company' => 'Fjernlund Papir',
            'title' => 'Planner',
            'since' => '2019-01-01',
            'until' => '2022-01-01',
        ];
    }
}
