<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Models\Offer;
use App\Models\Opening;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Standings\RuleBook;
use App\Standings\Snapshot;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Database\Demo\Words;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Learning\Kendall;
use Tests\TestCase;

/** How well the demo's outside world is understood, against what its seed knows. */
final class FeedsDemoTest extends TestCase
{
    use HasOutside;

    public function test_a_first_run_finds_what_the_base_has_and_understands_the_rest(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        config(['luftig.world' => self::$folder]);
        (new Scenario(700, 2000, 3500, 300, 2000))->load(fn (string $line) => null);
        $this->findsTheHiddenWeights();
        $brought = Signal::query()->where('derived', false)->count();
        foreach (Feed::query()->get() as $feed) {
            self::assertNull($this->ask($feed, 50_000_000)->problem, $feed->name);
        }
        self::assertSame($brought, Signal::query()->where('derived', false)->where('fed', false)->count());
        $new = Signal::query()->where('fed', true)->count();
        self::assertLessThanOrEqual(.01 * $brought, $new, 'what the base has already is not told once more');

        [$posted, $truth] = [$this->items(ItemKind::Posting), $this->truth('postings')];
        self::assertGreaterThan(400, count($posted));
        $agencies = $this->figures(
            array_filter($posted, fn (FeedItem $one): bool => str_contains((string) $one->why, 'gency')),
            array_filter($truth, fn (array $one): bool => isset($one['truth']['agency'])),
            $posted,
        );
        $doubles = $this->doubles($posted, $truth);
        $reports = $this->reports();
        printf("\nagencies: precision %.3f, recall %.3f of %d\n", ...$agencies);
        printf("doubles: precision %.3f, recall %.3f of %d\n", ...$doubles);
        printf("press: precision %.3f, recall %.3f of %d; new signals: %d of %d\n", ...[...$reports, $new, $brought]);
        $limits = [[$agencies, .95, .95], [$doubles, .95, .95], [$reports, .97, .9]];
        foreach ($limits as [$figures, $precision, $recall]) {
            self::assertGreaterThanOrEqual($precision, $figures[0]);
            self::assertGreaterThanOrEqual($recall, $figures[1]);
        }
        $this->technologies();
        $this->moves();
        // A day later there is that day's news.
        $this->itIs('2026-11-24T18:00:00Z');
        $before = FeedItem::query()->count();
        foreach (Feed::query()->get() as $feed) {
            self::assertNull($this->ask($feed, 50_000_000)->problem);
        }
        self::assertGreaterThan($before, FeedItem::query()->count());
        self::assertGreaterThan($new, Signal::query()->where('fed', true)->count());
    }

    /** Seven more visits of the pages that change, and of some that do not: all that came and went, and no more. */
    private function technologies(): void
    {
        $moved = $domains = [];
        foreach (file(self::$folder.'/sites.jsonl') ?: [] as $i => $line) {
            $site = (array) json_decode($line, true);
            foreach ($site['runs'] as [$name, $from, $until]) {
                // Of the first offer: systems complete it, loggers are replaced by it.
                $says = in_array($name, $until === null ? Words::SYSTEMS : Words::LOGGERS, true);
                if ($from > self::NOW || $until !== null) {
                    $moved = [...$moved, ...$says
                        ? ["{$site['domain']} ".($until === null ? 'tech_adopted' : 'tech_dropped')." $name"] : []];
                    $domains[] = $site['domain'];
                }
            }
            $i % 40 === 0 && $domains[] = $site['domain'];
        }
        self::assertGreaterThan(20, count($moved));
        $before = Signal::query()->max('id');
        $others = Account::query()->whereNotIn('domain', $domains)->pluck('domain', 'id')->all();
        Account::query()->whereKey(array_keys($others))->update(['domain' => null]);
        $feed = Feed::query()->where('format', 'site-pages')->sole();
        for ($week = 1; $week <= 7; $week++) {
            $this->at(CarbonImmutable::parse(self::NOW)->addDays(8 * $week)->toIso8601ZuluString());
            file_put_contents(self::$folder.'/clock', CarbonImmutable::now()->toIso8601ZuluString());
            self::assertNull($this->ask($feed)->problem);
        }
        $told = Signal::query()->with('account')->where('id', '>', $before)->where('fed', true)
            ->whereIn('kind', ['tech_adopted', 'tech_dropped'])
            ->ofOffer(Offer::query()->orderBy('id')->firstOrFail())->get()
            ->map(fn (Signal $one): string => "{$one->account->domain} {$one->kind->value} {$one->facts['technology']}")
            ->sort()->values()->all();
        sort($moved);
        printf("technologies: %d came or went, %d told\n", count($moved), count($told));
        self::assertSame($moved, $told);
        foreach ($others as $id => $domain) {
            DB::table('accounts')->where('id', $id)->update(['domain' => $domain]);
        }
    }

    /** Two months of moves: all that has to follow from them for the first offer, and no more. */
    private function moves(): void
    {
        $expected = [];
        foreach (file(self::$folder.'/moves.jsonl') ?: [] as $line) {
            $one = (array) json_decode($line, true);
            foreach ($one['at'] > self::NOW ? $one['truth']['follows'] : [] as $kind) {
                $expected[] = "{$one['truth']['domain']} {$one['name']} $kind";
            }
        }
        $this->itIs(CarbonImmutable::parse(self::NOW)->addDays(61)->toIso8601ZuluString());
        $before = Signal::query()->max('id');
        $offer = Offer::query()->orderBy('id')->value('id');
        self::assertNull($this->ask(Feed::query()->where('format', 'people')->sole())->problem);
        $found = Signal::query()->with('account', 'contact')->where('id', '>', $before)
            ->where(fn ($either) => $either->whereNull('offer_id')->orWhere('offer_id', $offer))->get()
            ->map(fn (Signal $one): string => "{$one->account->domain} {$one->contact?->name()} {$one->kind->value}")
            ->sort()->values()->all();
        sort($expected);
        printf("signals of people: %d follow, %d told\n", count($expected), count($found));
        self::assertGreaterThan(30, count($expected));
        self::assertSame($expected, $found);
    }

    /** @return array<string, FeedItem> by the number at the end of the link */
    private function items(ItemKind $kind): array
    {
        return FeedItem::query()->with('account')->where('kind', $kind)->get()
            ->keyBy(fn (FeedItem $one): string => basename((string) $one->link))->all();
    }

    /** @return array<string, array<string, mixed>> what is known by now, by number */
    private function truth(string $what): array
    {
        $truth = [];
        foreach (file(self::$folder."/$what.jsonl") ?: [] as $line) {
            $one = (array) json_decode($line, true);
            if ($one['at'] <= self::NOW) {
                $truth[(string) $one['id']] = $one;
            }
        }

        return $truth;
    }

    /**
     * @param  array<string, mixed>  $found
     * @param  array<string, mixed>  $true
     * @param  array<string, mixed>  $all
     * @return array{float, float, int} precision, recall, how many there are
     */
    private function figures(array $found, array $true, array $all): array
    {
        $true = array_intersect_key($true, $all);
        $right = count(array_intersect_key($found, $true));

        return [$right / max(1, count($found)), $right / max(1, count($true)), count($true)];
    }

    /**
     * Pairs of postings that stand behind one opening.
     *
     * @param  array<string, FeedItem>  $posted
     * @param  array<string, array<string, mixed>>  $truth
     * @return array{float, float, int}
     */
    private function doubles(array $posted, array $truth): array
    {
        $found = $true = [];
        foreach (Opening::query()->with('items')->get() as $opening) {
            $ids = $opening->items->map(fn (FeedItem $one): string => basename((string) $one->link))->sort()->values();
            foreach ($ids as $i => $one) {
                foreach ($ids->slice($i + 1) as $other) {
                    $found["$one $other"] = true;
                }
            }
        }
        foreach ($truth as $id => $one) {
            foreach ($truth as $otherId => $other) {
                // One role of one firm, sought anew within 45 days.
                if (
                    $id < $otherId && isset($posted[$id], $posted[$otherId], $one['truth']['opening'])
                    && $one['truth']['opening'] === ($other['truth']['opening'] ?? null)
                    && $one['domain'] === $other['domain'] && $one['domain'] !== ''
                    && $posted[$id]->account_id !== null
                    && (isset($one['truth']['double']) || isset($other['truth']['double']))
                    && abs(strtotime($one['at']) - strtotime($other['at'])) <= 45 * 86_400
                ) {
                    $true["$id $otherId"] = true;
                }
            }
        }
        $right = count(array_intersect_key($found, $true));
        // What was put up twice without being a copy is one opening by the rule, and is not counted as wrong.
        $isWrong = function (string $pair) use ($truth): bool {
            [$one, $other] = explode(' ', $pair);

            return $truth[$one]['truth']['opening'] !== $truth[$other]['truth']['opening']
                || $truth[$one]['domain'] !== $truth[$other]['domain'];
        };
        $wrong = count(array_filter(array_keys(array_diff_key($found, $true)), $isWrong));

        return [$right / max(1, $right + $wrong), $right / max(1, count($true)), count($true)];
    }

    /**
     * Of the reports that are taken: about the right account, and of the right kind; of the right ones: taken.
     *
     * @return array{float, float, int}
     */
    private function reports(): array
    {
        $domains = Account::query()->pluck('domain', 'id')->all();
        $truth = $this->truth('reports');
        $taken = $right = 0;
        $kinds = DB::table('signal_sources')->join('signals', 'signals.id', '=', 'signal_id')
            ->get(['feed_item_id', 'kind', 'account_id'])->groupBy('feed_item_id');
        foreach ($this->items(ItemKind::Report) as $id => $item) {
            if ($item->state !== ItemState::Taken) {
                continue;
            }
            $taken++;
            $is = $truth[$id]['truth'];
            $told = $kinds[$item->id][0] ?? null;
            $right += $is !== [] && $told !== null && ($domains[$told->account_id] ?? null) === $is['domain']
                && $told->kind === $is['kind'] ? 1 : 0;
        }
        $true = count(array_filter($truth, fn (array $one): bool => $one['truth'] !== []));

        return [$right / max(1, $taken), $right / max(1, $true), $true];
    }

    /** The order of accounts by what was learned from the approaches agrees with the hidden one, more than ours. */
    private function findsTheHiddenWeights(): void
    {
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $learned = (new Lessons($offer, Answers::of($offer)->approaches))->rules();
        self::assertNotNull($learned);
        $ranked = Standing::query()->where('offer_id', $offer->id)->whereNotNull('priority')
            ->pluck('points', 'account_id');
        $accounts = $ranked->keys()->all();
        $hidden = $after = $before = [];
        $preview = iterator_to_array((new Standings)->preview($learned));
        $book = RuleBook::of($offer->rules ?? new RuleSet);
        foreach (Snapshot::many($book, $accounts, CarbonImmutable::now()) as $account => $snapshot) {
            $hidden[] = Scenario::truth($snapshot);
            $after[] = (float) $preview[$account]['points'];
            $before[] = (float) $ranked[$account];
        }
        $taus = [(float) Kendall::tau($hidden, $after), (float) Kendall::tau($hidden, $before)];
        printf("\nhidden order: learned τ %.3f, by today’s rules %.3f, of %d\n", ...[...$taus, count($hidden)]);
        self::assertGreaterThan(400, count($hidden));
        self::assertGreaterThanOrEqual(.8, $taus[0]);
        self::assertGreaterThan($taus[1] + .05, $taus[0]);
    }
}
