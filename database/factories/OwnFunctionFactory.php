<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\OwnFunction;
use Illuminate\Database\Eloquent\Factories\Factory;
use Luftig\Core\Person\BusinessFunction;

/**
 * The first of a team's own functions.
 *
 * @extends Factory<OwnFunction>
 */
final class OwnFunctionFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['slot' => BusinessFunction::Own1, 'name' => 'tooling', 'words' => 'tooling OR toolmaker*'];
    }
}
