<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Technology;

/** The rows of technologies by their names, entered where they are new. */
final class TechnologyIds
{
    private const LONGEST = 100;

    /** @var array<string, int> */
    private array $known = [];

    public function of(string $name): int
    {
        $name = mb_substr($name, 0, self::LONGEST);

        return $this->known[mb_strtolower($name)] ??= Technology::query()->firstOrCreate(['name' => $name])->id;
    }
}
