<?php

declare(strict_types=1);

namespace App\Alike;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\Lookalikes;

/** How usual each phrase is among all accounts; of very many, as a sample of them has it. */
final class Base
{
    private const SAMPLE = 5000;

    /** Accounts by which one tells what is usual. */
    private const FEW = 60;

    /** Rarer phrases are all alike. */
    private const LEAST = 2;

    /** Of a large base, what is usual changes slowly. */
    private const HOURS = 24;

    public static function frequencies(): Frequencies
    {
        $isSmall = Texts::count() <= self::SAMPLE;
        [$stamp, $texts, $in] = Cache::get($key = 'phrases of '.DB::getDatabaseName(), ['', 0, []]);
        $now = $isSmall ? Texts::stamp() : 'a sample';
        if ($stamp !== $now) {
            $found = Frequencies::of((function (): iterable {
                foreach (Texts::of(self::sample()) as $profile) {
                    yield $profile->grams;
                }
            })());
            [$texts, $in] = [$found->texts, array_filter($found->in, fn (int $many): bool => $many >= self::LEAST)];
            Cache::put($key, [$now, $texts, $in], now()->addHours(self::HOURS));
        }

        return new Frequencies($texts, $in);
    }

    /**
     * How alike the texts of any few accounts are in the mean, 0–1: short texts share little, whatever they are of, so
     * that what is close is told beside this.
     */
    public static function usual(): float
    {
        return (float) Cache::remember(
            'usual '.md5((Texts::count() <= self::SAMPLE ? Texts::stamp() : '').DB::getDatabaseName()),
            now()->addHours(self::HOURS),
            function (): float {
                $each = max(1, intdiv(Texts::count(), self::FEW));
                $some = array_values(DB::table('accounts')->whereNull('merged_into')->whereRaw('id % ? = 0', [$each])
                    ->limit(self::FEW)->pluck('id')->all());
                $profiles = iterator_to_array(Texts::of($some), false);

                return $profiles === [] ? 0.0 : Lookalikes::to($profiles, [], self::frequencies())->coherence();
            },
        );
    }

    /** @return list<int>|null spread evenly; null: all of them */
    private static function sample(): ?array
    {
        $all = Texts::count();
        if ($all <= self::SAMPLE) {
            return null;
        }
        $each = (int) ceil($all / self::SAMPLE);

        return array_values(DB::table('accounts')->whereNull('merged_into')->whereRaw('id % ? = 0', [$each])
            ->limit(self::SAMPLE)->pluck('id')->all());
    }
}
