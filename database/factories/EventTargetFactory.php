<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\EventTarget;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<EventTarget> */
final class EventTargetFactory extends Factory
{
    protected $model = EventTarget::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['name' => 'Our books', 'address' => 'https://books.example/events', 'secret' => 'a shared secret'];
    }
}
