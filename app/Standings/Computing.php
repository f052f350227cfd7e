<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;

/** How far the ranking of an offer has followed its rules, and how many accounts wait to be computed anew. */
final readonly class Computing
{
    /**
     * @param  int  $behind  accounts that stand as an older version of the rules has them
     * @param  int  $waiting  accounts whose facts changed since they were computed
     */
    private function __construct(public int $all, public int $behind, public int $waiting)
    {
    }

    public static function of(Offer $offer): self
    {
        $standings = Standing::query()->where('offer_id', $offer->id);
        $rules = $offer->rules?->id;

        return new self(
            (clone $standings)->count(),
            $rules === null ? 0 : $standings->where('rule_set_id', '<>', $rules)->count(),
            Account::query()->where('stale', true)->count(),
        );
    }

    public function isDone(): bool
    {
        return max($this->behind, $this->waiting) === 0;
    }

    /** 0–1 */
    public function share(): float
    {
        $left = max($this->behind, $this->waiting);

        // Those that have just come in do not stand anywhere yet.
        return $left === 0 ? 1.0 : 1 - $left / max($this->all, $left);
    }
}
