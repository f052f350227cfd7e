<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Feed;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Feed> */
final class FeedFactory extends Factory
{
    protected $model = Feed::class;

    public function definition(): array
    {
        return [
            'name' => fake()->unique()->words(3, true), 'format' => 'posting-lines',
            'address' => 'https://board.example/feed.jsonl', 'rhythm' => 60, 'confidence' => .9,
        ];
    }
}
