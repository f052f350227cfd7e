<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\TitleLesson;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A title that the team taught to say nothing.
 *
 * @extends Factory<TitleLesson>
 */
final class TitleLessonFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'title' => 'X',
            'folded' => 'x',
            'reading' => 0,
        ];
    }
}
