<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\StandingOrder;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<StandingOrder> */
final class StandingOrderFactory extends Factory
{
    protected $model = StandingOrder::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['credits' => 20];
    }
}
