<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Account;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\Standing;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** How far the ranking of an offer has followed its rules, and how many accounts wait to be computed anew. */
final readonly class Computing
{
    /** Days after which the ranking has followed in any case: it is computed anew every night. */
    private const NEW = 1;

    /**
     * @param  int  $all  accounts that stand somewhere, where any is behind or waits
     * @param  int  $behind  accounts that stand as an older version of the rules has them
     * @param  int  $waiting  accounts whose facts changed since they were computed
     */
    private function __construct(public int $all, public int $behind, public int $waiting)
    {
    }

    public static function of(Offer $offer): self
    {
        $standings = Standing::query()->where('offer_id', $offer->id);
        $waiting = Account::query()->where('stale', true)->count();
        $behind = $offer->rules === null ? 0 : self::behind($offer->rules);

        return new self($waiting + $behind === 0 ? 0 : $standings->count(), $behind, $waiting);
    }

    /** Once none is, none will be, since what comes later is computed by the newest rules. */
    private static function behind(RuleSet $rules): int
    {
        $followed = 'followed '.DB::getDatabaseName()." {$rules->id}";
        if ($rules->created_at < now()->subDays(self::NEW) || Cache::has($followed)) {
            return 0;
        }
        $behind = Standing::query()->where('offer_id', $rules->offer_id)->where('rule_set_id', '<>', $rules->id)
            ->count();
        $behind > 0 || Cache::put($followed, true, now()->addDays(self::NEW));

        return $behind;
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
