<?php

declare(strict_types=1);

namespace App\Standings;

/** Rules to begin with, by the trade of those whom a team serves. */
final readonly class Starter
{
    /**
     * @param  list<string>  $industries  parts of ISIC
     * @param  array{int|null, int|null}  $headcount
     * @param  list<array<string, mixed>>  $roles  as rules hold buyer roles
     * @param  array<string, array<string, mixed>>  $kinds  what differs from the standard catalogue
     * @param  list<array<string, mixed>>  $interests  as rules hold roles of interest
     */
    private function __construct(
        public string $trade,
        public string $label,
        public array $industries,
        public array $headcount,
        public array $roles,
        public array $kinds,
        public array $interests,
    ) {
    }

    /** @return array<string, self> by trade */
    public static function all(): array
    {
        $starters = [];
        foreach (require __DIR__.'/data/starters.php' as $trade => $one) {
            $starters[$trade] = new self(
                $trade, $one['label'], $one['industries'], $one['headcount'], $one['roles'], $one['kinds'],
                $one['interests'],
            );
        }

        return $starters;
    }

    public static function of(string $trade): ?self
    {
        return self::all()[$trade] ?? null;
    }
}
