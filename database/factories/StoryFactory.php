<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Story;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Story> */
final class StoryFactory extends Factory
{
    protected $model = Story::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Night losses', 'told_from' => '2026-01-01', 'industries' => ['2310'], 'headcount' => 400,
            'country' => 'DK', 'words' => ['en' => [
                'customer' => 'a glassworks of 400 in Denmark', 'problem' => 'nobody knew what the air lost at night',
                'done' => 'we walked the network in two days', 'result' => 'lost air fell from 34 to 12 %',
            ]],
        ];
    }
}
