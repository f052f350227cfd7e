<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Contact;
use App\Models\User;
use App\Support\AccountIds;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\IntroPaths;
use Luftig\Core\Reach\RelationStrength;

/**
 * The best way to each contact through one of us, kept with the contact, so that Access and with it the ranking count
 * it (rules 5 and 10): who of us knows them, or knows somebody who does, or through two of these.
 */
final class Intros
{
    private const CHUNK = 500;

    private const STAMP = 'intros';

    /** Less is no way in. */
    private const LEAST = .01;

    /** Only where whatever says who knows whom has changed. */
    public static function refreshIfChanged(): int
    {
        $stamp = Acquaintance::stamp();
        if (Cache::get(self::STAMP) === $stamp) {
            return 0;
        }
        $changed = self::refresh();
        Cache::forever(self::STAMP, $stamp);

        return $changed;
    }

    /** @return int contacts who are reached otherwise than before */
    public static function refresh(): int
    {
        $known = self::known();
        $further = self::further($known, $known);

        return self::keep(self::further(array_filter($further, fn (array $way): bool => $way[2] !== null), $further));
    }

    /**
     * Ways that are an edge longer, where they are better than what there is. One that comes back to somebody on it is
     * weaker than what led there, so that none is taken.
     *
     * @param  array<int, array{float, int, int|null}>  $from  contact → the best way there, by whom, through whom first
     * @param  array<int, array{float, int, int|null}>  $best
     * @return array<int, array{float, int, int|null}>
     */
    private static function further(array $from, array $best): array
    {
        // Where even the strongest tie leads to no way, nobody need be looked at.
        $worth = array_filter(
            $from,
            fn (array $way): bool => $way[0] * IntroPaths::LOSS * RelationStrength::MOST > self::LEAST,
        );
        $add = function (int $one, int $other, float $strength) use ($worth, &$best): void {
            $way = IntroPaths::LOSS * $worth[$one][0] * $strength;
            if ($way > ($best[$other][0] ?? self::LEAST)) {
                $best[$other] = [$way, $worth[$one][1], $worth[$one][2] ?? $one];
            }
        };
        foreach (Colleagues::atWork(array_keys($worth)) as [$one, $other, $strength]) {
            $add($one, $other, $strength);
        }
        foreach (Colleagues::circles() as [$strength, $members]) {
            $known = array_filter($members, fn (int $one): bool => isset($worth[$one]));
            // They all know each other equally well, so that the best way to any goes on to the others.
            usort($known, fn (int $a, int $b): int => $worth[$b][0] <=> $worth[$a][0] ?: $a <=> $b);
            foreach ($known === [] ? [] : $members as $other) {
                $add($known[0], $other, $strength);
            }
        }

        return $best;
    }

    /** @return array<int, array{float, int, null}> contact → how well, by whom of us */
    private static function known(): array
    {
        $known = [];
        $ids = Acquaintance::by(array_values(User::query()->pluck('id')->all()));
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            $contacts = Contact::query()->with('positions')->whereKey($some)->get();
            $ties = new Ties($contacts);
            foreach ($contacts as $contact) {
                $tie = $ties->of($contact)[0] ?? null;
                if ($tie !== null) {
                    $known[$contact->id] = [$tie['strength'], $tie['user']->id, null];
                }
            }
        }

        return $known;
    }

    /** @param  array<int, array{float, int, int|null}>  $best */
    private static function keep(array $best): int
    {
        $before = DB::table('contacts')->where('intro', '>', 0)->get(['id', 'intro', 'intro_by', 'intro_via'])
            ->mapWithKeys(fn ($row): array => [
                (int) $row->id => [(float) $row->intro, $row->intro_by, $row->intro_via],
            ])->all();
        $changed = [];
        foreach ($best + array_fill_keys(array_keys($before), [0.0, null, null]) as $contact => $way) {
            $way = [round($way[0], 4), $way[1], $way[2]];
            if ($way !== ($before[$contact] ?? [0.0, null, null])) {
                $changed[$contact] = $way;
            }
        }
        foreach (array_chunk($changed, self::CHUNK, true) as $some) {
            $set = fn (int $at): string => 'CASE id '.implode(' ', array_map(
                fn (int $id, array $way): string => "WHEN $id THEN ".($way[$at] ?? 'NULL'), array_keys($some), $some,
            )).' END';
            DB::update("UPDATE contacts SET intro = {$set(0)}, intro_by = {$set(1)}, intro_via = {$set(2)} WHERE id IN "
                .'('.implode(',', array_keys($some)).')');
            AccountIds::markStale(DB::table('contacts')->whereIn('id', array_keys($some))->distinct()
                ->pluck('account_id')->all());
        }

        return count($changed);
    }
}
