<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Brought;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Models\Feed;
use App\Models\ItemState;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\Format;
use App\Support\FunctionNames;
use Carbon\CarbonImmutable;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Signal\Headcounts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;
use stdClass;

/**
 * Headcounts by month: kept, and told as growth or decline where the latest three months show it (rule 2), one signal
 * for the whole and one for each function, dated anew while it lasts.
 */
final class Heads implements Understanding
{
    /** A file and a register tell of one change at different times. */
    private const SAME_DAYS = 100;

    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $wanted = $rows = [];
        foreach ($items as $item) {
            $domain = (string) ($item->facts['domain'] ?? '');
            $account = $accounts[$domain] ?? null;
            if ($account === null) {
                $item->becomes(ItemState::Dropped, "Nobody in the base has the domain {$domain}.");

                continue;
            }
            $item->becomes(ItemState::Taken, "By the domain {$domain}.", $account);
            $all = new Headcounts($item->facts['months'][''] ?? []);
            foreach ($item->facts['months'] ?? [] as $function => $months) {
                foreach ($months as $month => $heads) {
                    $rows[] = [$account, (string) $function, (string) $month, $heads];
                }
                $signal = $this->signal($feed, $item, $account, (string) $function, new Headcounts($months), $all);
                if ($signal !== null) {
                    $wanted[] = $signal;
                }
            }
        }
        Bulk::replace('headcounts', ['account_id', 'function', 'month', 'heads'], $rows);

        return KeepSignals::keep($wanted);
    }

    private function signal(
        Feed $feed,
        Brought $item,
        int $account,
        string $function,
        Headcounts $heads,
        Headcounts $all,
    ): ?Wanted {
        $latest = $heads->latest();
        $change = $heads->change(Headcounts::SPAN);
        if ($latest === null || $change === null) {
            return null;
        }
        $before = (int) $heads->heads(Headcounts::before($latest, Headcounts::SPAN));
        $after = (int) $heads->heads($latest);
        $strength = Strength::ofChange($before, $after, $function === '' ? null : $all->heads($latest) ?? $before);
        // A function that goes as the whole does tells nothing besides.
        $whole = $function === '' ? 0.0 : $all->change(Headcounts::SPAN, $latest) ?? 0.0;
        if ($strength === null || $function !== '' && abs($change - $whole) < Strength::LEAST_CHANGE) {
            return null;
        }
        $is = BusinessFunction::tryFrom($function);
        $what = $is === null ? 'Headcount' : 'Heads in '.FunctionNames::of($is);
        $kind = $change > 0 ? Kind::Growth : Kind::Decline;

        return new Wanted(
            sha1("heads|$account|$function|{$kind->value}"),
            $account,
            $kind,
            $what.($change > 0 ? ' up ' : ' down ').Format::percent(abs($change)).' in 90 days',
            $this->day($latest),
            $strength,
            [$item->id => [$feed->confidence, 'By the domain.']],
            $feed->name,
            $item->link,
            null,
            ['before' => $before, 'after' => $after] + ($is === null ? [] : ['function' => $function]),
            $this->day($heads->since($change > 0, $latest)),
            $is === null ? 0 : BusinessFunction::set([$is]),
            isSame: fn (stdClass $other): bool => $is === null
                && ! isset(json_decode($other->facts ?? '[]', true)['function']),
            days: self::SAME_DAYS,
        );
    }

    /** The last day of a month, or today where it is not over. */
    private function day(string $month): CarbonImmutable
    {
        return CarbonImmutable::parse("$month-01", 'UTC')->endOfMonth()->startOfDay()->min(CarbonImmutable::today());
    }
}
