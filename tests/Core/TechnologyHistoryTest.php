<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Company\Shown;
use Luftig\Core\Company\TechnologyHistory;
use Luftig\Core\Company\Usage;
use Luftig\Core\Company\Visit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What runs where (rule 24). */
final class TechnologyHistoryTest extends TestCase
{
    use TestTrait;

    /**
     * Visits by day: + shows it, - does not, x was not reached; since when and last seen, adopted, dropped.
     *
     * @return array<string, array{array<int, string>, array{int, int}|null, list<int>, list<int>}>
     */
    public static function visits(): array
    {
        return [
            'there from the first' => [[0 => '+', 30 => '+'], [0, 30], [], []],
            'new after a week without' => [[0 => '-', 7 => '+'], [7, 7], [7], []],
            'new within a week' => [[0 => '-', 6 => '+'], [6, 6], [], []],
            'new, and looked at twice before' => [[0 => '-', 6 => '-', 9 => '+'], [9, 9], [9], []],
            'overlooked once' => [[0 => '+', 10 => '-', 20 => '+'], [0, 20], [], []],
            'gone at two visits a week apart' => [[0 => '+', 10 => '-', 17 => '-'], null, [], [17]],
            'gone, at visits too near' => [[0 => '+', 10 => '-', 16 => '-'], [0, 0], [], []],
            'gone, at the third visit' => [[0 => '+', 10 => '-', 14 => '-', 18 => '-'], null, [], [18]],
            'a page that was not reached' => [[0 => '+', 10 => 'x', 20 => 'x', 30 => '-'], [0, 0], [], []],
            'not reached between' => [[0 => '+', 10 => '-', 12 => 'x', 20 => '-'], null, [], [20]],
            'gone and back' => [[0 => '+', 10 => '-', 20 => '-', 40 => '+'], [40, 40], [40], [20]],
            'gone twice' => [
                [0 => '+', 10 => '-', 20 => '-', 40 => '+', 50 => '-', 60 => '-'], null, [40], [20, 60],
            ],
        ];
    }

    /**
     * @param  array<int, string>  $visits
     * @param  array{int, int}|null  $inUse
     * @param  list<int>  $adopted
     * @param  list<int>  $dropped
     */
    #[DataProvider('visits')]
    public function test_it_came_stayed_or_went(array $visits, ?array $inUse, array $adopted, array $dropped): void
    {
        // Another technology is always there, so that a visit without this one is one all the same.
        $usage = $this->of($visits);
        self::assertSame(
            [$inUse, $adopted, $dropped],
            [
                $usage->since === null ? null : [(int) $usage->since, (int) $usage->lastSeen],
                array_map(intval(...), $usage->adopted), array_map(intval(...), $usage->dropped),
            ],
        );
    }

    public function test_several_ways_make_it_surer_and_variants_are_one(): void
    {
        $visit = fn (int $at, array $found): Visit => new Visit($at, true, $found);
        $sure = fn (array $found, array $postings = []): float => TechnologyHistory::of(
            [$visit(0, $found)], $postings,
        )[0]->confidence();
        self::assertEqualsWithDelta(.9, $sure([['Vedliko', Shown::Script]]), 1e-12);
        self::assertEqualsWithDelta(.9, $sure([['Vedliko', Shown::Script], ['vedliko', Shown::Script]]), 1e-12);
        // 1 − .2 · .5
        self::assertEqualsWithDelta(.9, $sure([['Vedliko', Shown::Cookie], ['Vedliko', Shown::Text]]), 1e-12);
        // 1 − .5 · .4
        self::assertEqualsWithDelta(.8, $sure([['Vedliko', Shown::Text]], [[5.0, 'Vedliko']]), 1e-12);
        self::assertEqualsWithDelta(.97, $sure([['Vedliko', Shown::Script], ['Vedliko', Shown::Meta]]), 1e-12);
        $all = TechnologyHistory::of(
            [$visit(3, [['Vedliko Plan Pro', Shown::Script], ['Ordvika', Shown::Text]])],
            [[1.0, 'Vedliko-Lite']],
            ['Vedliko Plan Pro' => 'Vedliko', 'Vedliko Lite' => 'Vedliko'],
        );
        self::assertSame(['Ordvika', 'Vedliko'], array_map(fn (Usage $one): string => $one->name, $all));
        self::assertSame([1.0, 3.0], [$all[1]->since, $all[1]->lastSeen]);
    }

    public function test_a_posting_shows_it_and_never_its_end(): void
    {
        [$usage] = TechnologyHistory::of([], [[10 * 86_400.0, 'Tryklog'], [2 * 86_400.0, 'Tryklog 2']]);
        self::assertSame([2 * 86_400.0, 10 * 86_400.0], [$usage->since, $usage->lastSeen]);
        self::assertSame([[], []], [$usage->adopted, $usage->dropped]);
        // Gone from the page, and named in a posting since: still in use, and dropped from the page.
        $usages = TechnologyHistory::of(
            [
                new Visit(0, true, [['Tryklog', Shown::Script]]), new Visit(10 * 86_400, true, []),
                new Visit(20 * 86_400, true, []),
            ],
            [[15 * 86_400.0, 'Tryklog']],
        );
        self::assertSame(15 * 86_400.0, $usages[0]->lastSeen);
    }

    public function test_the_order_of_visits_does_not_matter_and_ends_follow_beginnings(): void
    {
        $this->forAll(Generators::seq(Generators::tuple(Generators::choose(0, 200), Generators::bool())))
            ->then(function (array $drawn): void {
                $days = [];
                foreach ($drawn as [$day, $isThere]) {
                    $days[$day] = $isThere ? '+' : '-';
                }
                $usage = $this->of($days);
                self::assertEquals($usage, $this->of(array_reverse($days, true)));
                self::assertLessThanOrEqual(1, abs(count($usage->adopted) - count($usage->dropped)));
                self::assertSame(
                    in_array('+', $days, true) && count($usage->dropped) === 0,
                    $usage->since !== null && count($usage->dropped) === 0,
                );
            });
    }

    /** @param  array<int, string>  $visits  by day */
    private function of(array $visits): Usage
    {
        $all = array_map(fn (int $day, string $sign): Visit => new Visit($day, $sign !== 'x', [
            ['Zet', Shown::Text], ...$sign === '+' ? [['Ask', Shown::Script]] : [],
        ]), array_keys($visits), $visits);
        // A day is a second here, so that a week is 7 · 86,400 of them.
        $all = array_map(fn (Visit $v): Visit => new Visit($v->at * 86_400, $v->reached, $v->found), $all);
        $usage = TechnologyHistory::of($all)[0] ?? new Usage('Ask');
        $usage = $usage->name === 'Ask' ? $usage : new Usage('Ask');
        foreach (['adopted', 'dropped'] as $what) {
            $usage->$what = array_map(fn (float $at): float => $at / 86_400, $usage->$what);
        }
        $usage->since = $usage->since === null ? null : $usage->since / 86_400;
        $usage->lastSeen = $usage->lastSeen === null ? null : $usage->lastSeen / 86_400;

        return $usage;
    }
}
