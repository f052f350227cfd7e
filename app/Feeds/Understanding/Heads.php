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
use App\Support\Same;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Signal\Headcounts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;
use Luftig\Core\Signal\Trend;
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
        $this->follow(array_values(array_unique(array_column($rows, 0))));

        return KeepSignals::keep($wanted);
    }

    /**
     * What the months say by now of each function and of all; the account's own headcount and growth follow where
     * nobody said them otherwise.
     *
     * @param  list<int>  $accounts
     */
    private function follow(array $accounts): void
    {
        $months = [];
        foreach (DB::table('headcounts')->whereIn('account_id', $accounts)->get() as $row) {
            $months[$row->account_id][$row->function][$row->month] = (int) $row->heads;
        }
        $there = DB::table('accounts')->leftJoin('trends', 'account_id', '=', 'accounts.id')
            ->whereIn('accounts.id', $accounts)->get(['accounts.id', 'headcount', 'growth', 'says'])
            ->keyBy('id');
        $rows = $changed = [];
        foreach ($months as $account => $functions) {
            $trends = array_filter(array_map(
                fn (array $own): ?Trend => Trend::of(new Headcounts($own)),
                $functions,
            ));
            $says = json_encode($trends, JSON_THROW_ON_ERROR);
            $before = $there[$account] ?? null;
            if ($before === null) {
                continue;
            }
            if (! Same::json($says, (string) $before->says)) {
                $rows[] = [$account, $says];
                $changed[] = $account;
            }
            $this->state($before, $trends[''] ?? null);
        }
        Bulk::replace('trends', ['account_id', 'says'], $rows);
        AccountIds::markStale($changed);
    }

    private function state(stdClass $account, ?Trend $all): void
    {
        $was = json_decode($account->says ?? '[]', true)[''] ?? [];
        $before = ['headcount' => $was['heads'] ?? null, 'growth' => $was['changes'][12] ?? null];
        $is = array_filter(
            ['headcount' => $all?->heads, 'growth' => $all->changes[12] ?? null],
            fn (int|float|null $value, string $field): bool => $value !== null
                && ! Same::value($value, $account->$field)
                // Not known, or what the months said before.
                && ($account->$field === null || Same::value($before[$field], $account->$field)),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($is !== []) {
            DB::table('accounts')->where('id', $account->id)->update($is + ['updated_at' => now()]);
            AccountIds::markStale([$account->id]);
        }
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
