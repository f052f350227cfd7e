<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\KeepOut;
use App\Models\KeepOutType;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A domain that is kept out for good.
 *
 * @extends Factory<KeepOut>
 */
final class KeepOutFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'type' => KeepOutType::Domain,
            'value' => 'kept-out.example',
            'reason' => 'a partner of ours',
        ];
    }
}
