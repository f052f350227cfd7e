<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Ask;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Ask> */
final class AskFactory extends Factory
{
    protected $model = Ask::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'people' => ['Mira', 'Greta', 'Pernille'], 'request' => 'Would you introduce us?', 'forward' => 'Hello!',
            'asked_at' => now(),
        ];
    }
}
