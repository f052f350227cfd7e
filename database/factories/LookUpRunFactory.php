<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LookUpRun;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<LookUpRun> */
final class LookUpRunFactory extends Factory
{
    protected $model = LookUpRun::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Some', 'state' => LookUpRun::QUEUED,
        ];
    }
}
