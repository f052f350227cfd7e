<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\Budget;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\User;

/** What a month may take, of the team and of one of it, and what it took. */
final readonly class Spending
{
    /** @param  float|null  $limit  credits; null: none is set */
    private function __construct(public ?float $limit, public float $spent)
    {
    }

    public static function ofTeam(): self
    {
        return new self(self::limit(null), self::spentBy(null));
    }

    public static function of(User $user): self
    {
        return new self(self::limit($user), self::spentBy($user));
    }

    /** Credits that somebody may still spend; none where the team has set no budget. */
    public static function leftTo(User $user, ?LookUpRun $run = null): float
    {
        $team = self::ofTeam();
        $own = self::of($user);

        return max(0.0, min(
            ($team->limit ?? 0.0) - $team->spent,
            $own->limit === null ? INF : $own->limit - $own->spent,
            $run?->most === null ? INF : $run->most - $run->spent(),
        ));
    }

    private static function limit(?User $user): ?float
    {
        return Budget::query()->where('user_id', $user?->id)->first()?->credits;
    }

    private static function spentBy(?User $user): float
    {
        return (float) LookUp::query()->where('asked_at', '>=', now()->startOfMonth())
            ->when($user !== null, fn ($query) => $query->where('user_id', $user?->id))->sum('price');
    }
}
