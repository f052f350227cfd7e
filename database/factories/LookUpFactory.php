<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LookUp;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<LookUp> */
final class LookUpFactory extends Factory
{
    protected $model = LookUp::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'mark' => sha1(uniqid()), 'asked_at' => now(), 'look_up_service_id' => LookUpServiceFactory::new(),
        ];
    }
}
