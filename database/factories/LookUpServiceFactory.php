<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LookUpService;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<LookUpService> */
final class LookUpServiceFactory extends Factory
{
    protected $model = LookUpService::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => fake()->unique()->word(), 'does' => LookUpService::FINDS, 'address' => 'http://127.0.0.1:9/x',
            'price' => 2, 'position' => 0,
        ];
    }
}
