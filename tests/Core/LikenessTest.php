<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generator;
use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Likeness\Alike;
use Luftig\Core\Likeness\Closeness;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\Lookalikes;
use Luftig\Core\Likeness\Profile;
use Luftig\Core\Likeness\TypicalPhrase;
use Luftig\Core\Likeness\TypicalPhrases;
use Luftig\Core\Mistake;
use Luftig\Core\Text\Grams;
use PHPUnit\Framework\TestCase;

/** Rule 14: lookalikes and typical phrases. */
final class LikenessTest extends TestCase
{
    use TestTrait;

    private const WORDS = ['film', 'stretch', 'pallet', 'pipe', 'water', 'glass', 'and', 'oven', 'night', 'shift'];

    public function test_phrases_are_words_pairs_and_triples_that_say_something(): void
    {
        self::assertSame([
            'blow' => 1, 'blow film' => 1, 'film' => 2, 'day' => 1,
            'night' => 1, 'iso' => 1, 'iso 9001' => 1,
        ], self::sorted(Grams::of('We blow film; film. Day and night, ISO 9001 (a)'), [
            'blow', 'blow film', 'film', 'day', 'night', 'iso',
            'iso 9001',
        ]));
        self::assertSame([], Grams::of(' … of the and 42 '));
        self::assertSame(['oljefri luft' => 1], array_intersect_key(Grams::of('Oljefri LÜFT'), ['oljefri luft' => 1]));
        self::assertSame(['air pipe' => 9.0, 'oven' => 1.0], Grams::withoutParts(
            ['air pipe' => 9.0, 'air' => 5.0, 'pipe' => 4.0, 'oven' => 1.0],
            ['air pipe' => 9, 'air' => 10, 'pipe' => 9, 'oven' => 3],
        ), 'a part that is as frequent, or a tenth more, says no more');
        self::assertArrayHasKey('air', Grams::withoutParts(
            ['air pipe' => 9.0, 'air' => 5.0], ['air pipe' => 9, 'air' => 11],
        ));
    }

    public function test_likeness_is_of_text_industry_and_size(): void
    {
        $accounts = [
            Profile::of('a', 'stretch film', ['2220'], 100), Profile::of('b', 'stretch film', ['2220'], 100),
            Profile::of('c', 'water pipe', ['2219'], 1000), Profile::of('d', 'stretch', ['2220'], 100),
            Profile::of('e', '', [], null),
        ];
        $results = self::results($accounts, ['a']);
        // Alike in all; in one division and ten times as large; of three phrases of one weight one, so 1 ÷ √3; unknown.
        self::assertEqualsWithDelta(1.0, $results['b']->likeness, 1e-12);
        self::assertEqualsWithDelta(.25 / 2, $results['c']->likeness, 1e-12);
        // stretch stands in 3 of 5, stretch film and film in 2: weights ln(6 ÷ 3.5) and ln(6 ÷ 2.5).
        [$s, $f] = [log(6 / 3.5), log(6 / 2.5)];
        self::assertEqualsWithDelta(.6 * $s / sqrt($s ** 2 + 2 * $f ** 2) + .4, $results['d']->likeness, 1e-12);
        self::assertEqualsWithDelta(.25 / 2 + .15 / 2, $results['e']->likeness, 1e-12);
        self::assertSame([['stretch film'], [], ['stretch'], []], [
            $results['b']->phrases, $results['c']->phrases, $results['d']->phrases, $results['e']->phrases,
        ]);
        self::assertEqualsWithDelta([0.0, .5, 0.0], [
            $results['c']->text, $results['c']->industry, $results['c']->size,
        ], 1e-12);
    }

    public function test_closeness_in_the_tree_and_in_headcount(): void
    {
        self::assertSame([1.0, .75, .5, .25, 0.0, .5, 1.0], array_map(
            fn (array $other): float => Closeness::inTree(['2310'], $other),
            [['2310'], ['2311'], ['2394'], ['1010'], ['6201'], [], ['6201', '2310']],
        ));
        self::assertEqualsWithDelta([1.0, 1 - log10(2), 0.0, 0.0, .5], array_map(
            fn (?int $other): float => Closeness::inHeads(50, $other), [50, 100, 500, 5000, null],
        ), 1e-12);
    }

    public function test_a_counter_example_takes_a_quarter_away(): void
    {
        $accounts = [
            Profile::of('a', 'stretch film'), Profile::of('b', 'stretch film'), Profile::of('c', 'oven'),
            Profile::of('d', 'oven'),
        ];
        $with = self::results($accounts, ['a'], ['d']);
        self::assertEqualsWithDelta(.6 + .2, $with['b']->likeness, 1e-12, 'what it does not speak of stays');
        self::assertEqualsWithDelta(.2, $with['c']->likeness, 1e-12, 'text counts for no less than nothing');
        // Of two examples, one of the phrases of each: the mean has length √½.
        $both = self::results([...$accounts, Profile::of('e', 'oven')], ['a', 'c'], ['d']);
        self::assertEqualsWithDelta(.6 * (.5 - .25) / sqrt(.5) + .2, $both['e']->likeness, 1e-12);
    }

    public function test_coherence_and_the_odd_one(): void
    {
        $texts = ['a' => 'stretch film', 'b' => 'stretch film', 'c' => 'water pipe'];
        $profiles = array_map(fn (string $id): Profile => Profile::of($id, $texts[$id]), array_keys($texts));
        $all = Frequencies::of(array_map(fn (Profile $one): array => $one->grams, $profiles));
        $three = Lookalikes::to($profiles, [], $all);
        self::assertEqualsWithDelta(1 / 3, $three->coherence(), 1e-12, 'one pair of three');
        self::assertSame('c', $three->oddOne());
        $two = Lookalikes::to(array_slice($profiles, 1), [], $all);
        self::assertSame([0.0, null], [$two->coherence(), $two->oddOne()], 'of two nobody is the odd one');
        self::assertSame([1.0, null], [
            Lookalikes::to([$profiles[0]], [], $all)->coherence(),
            Lookalikes::to([$profiles[0], $profiles[1], Profile::of('x', $texts['a'])], [], $all)->oddOne(),
        ]);
        $this->expectException(Mistake::class);
        Lookalikes::to([], [], $all);
    }

    public function test_an_example_is_most_like_itself_and_the_order_of_examples_does_not_matter(): void
    {
        $this->limitTo(80)->forAll($this->profiles(), Generators::choose(0, 7), Generators::choose(0, 7))
            ->disableShrinking()->then(function (array $accounts, int $one, int $other): void {
                $results = self::results($accounts, [$one]);
                $best = max(array_map(fn (Alike $alike): float => $alike->likeness, $results));
                self::assertEqualsWithDelta($best, $results[$one]->likeness, 1e-9);
                self::assertEquals(
                    self::results($accounts, [$one, $other, 3]), self::results($accounts, [3, $other, $one]),
                );
                foreach ($results as $alike) {
                    self::assertGreaterThanOrEqual(0.0, $alike->likeness);
                    self::assertLessThanOrEqual(1 + 1e-9, $alike->likeness);
                }
            });
    }

    public function test_a_counter_example_never_raises_what_is_like_it(): void
    {
        $this->limitTo(80)->forAll($this->profiles(), Generators::choose(0, 6), Generators::choose(1, 6))
            ->disableShrinking()->then(function (array $accounts, int $twin, int $first): void {
                $text = implode(' ', array_keys($accounts[$twin]->grams));
                $accounts[] = new Profile(
                    8, $accounts[$twin]->grams, $accounts[$twin]->industries, $accounts[$twin]->headcount,
                );
                $before = self::results($accounts, [7, 0], $first === $twin ? [] : [$first]);
                $after = self::results($accounts, [7, 0], $first === $twin ? [8] : [$first, 8]);
                self::assertLessThanOrEqual($before[$twin]->likeness + 1e-12, $after[$twin]->likeness, $text);
            });
    }

    public function test_how_typical_a_phrase_is_follows_the_log_odds(): void
    {
        $text = Generators::map(
            fn (array $words): string => implode(' ', $words), Generators::vector(4, Generators::elements(self::WORDS)),
        );
        $this->limitTo(50)->forAll(
            Generators::vector(14, $text), Generators::vector(30, $text), Generators::choose(0, 14),
        )->disableShrinking()->then(function (array $here, array $elsewhere, int $often): void {
            // So that some phrase is typical.
            $here = [...$here, ...array_fill(0, $often, 'oil free air')];
            $typical = self::typical($here, $elsewhere, 1000);
            [$n, $m] = [count($here), count($elsewhere)];
            // Fewer than 60 texts: the prior is a third of all.
            $weight = min(20, ($n + $m) / 3);
            $in = fn (string $phrase, array $texts): int => count(
                array_filter($texts, fn (string $line): bool => str_contains(" $line ", " $phrase ")),
            );
            foreach ($typical as $phrase => $z) {
                [$x, $y] = [$in((string) $phrase, $here), $in((string) $phrase, $elsewhere)];
                $prior = $weight * ($x + $y) / ($n + $m);
                $odds = fn (float $count, float $of): float => log($count / max($of - $count, .5));
                self::assertEqualsWithDelta(
                    ($odds($x + $prior, $n + $weight) - $odds($y + $prior, $m + $weight))
                        / sqrt(1 / ($x + $prior) + 1 / ($y + $prior)),
                    $z,
                    1e-9,
                    (string) $phrase,
                );
                self::assertGreaterThanOrEqual(2, $x);
                self::assertGreaterThanOrEqual(1.96, $z);
            }
            // The same phrase everywhere is typical of nothing, or of less.
            $everywhere = array_map(fn (string $line): string => "$line. oil free air", $elsewhere);
            $common = self::typical($here, $everywhere, 1000);
            self::assertLessThan(
                $typical['oil free air'] ?? 1.97, $common['oil free air'] ?? 0.0, 'z falls where it is common',
            );
        });
    }

    public function test_typical_phrases_are_frequent_here_and_rare_elsewhere(): void
    {
        $here = [
            ...array_fill(0, 12, 'Head of compressed air, three shifts'), ...array_fill(0, 8, 'Plant manager'),
        ];
        $elsewhere = [
            ...array_fill(0, 40, 'Plant manager, three shifts'), ...array_fill(0, 40, 'Head of sales'),
        ];
        $typical = self::typical($here, $elsewhere);
        self::assertArrayHasKey('head of compressed', $typical);
        self::assertArrayHasKey('compressed air', $typical);
        self::assertArrayNotHasKey('compressed', $typical, 'the pair says as much');
        foreach (['three shifts', 'plant manager', 'head', 'of'] as $common) {
            self::assertArrayNotHasKey($common, $typical);
        }
        self::assertSame([], self::typical(['once only'], $elsewhere), 'one text is no pattern');
        self::assertSame([], self::typical([], []));
        self::assertCount(1, self::typical($here, $elsewhere, 1));
        $few = TypicalPhrases::of(
            Frequencies::of(array_map(Grams::of(...), ['blow film', 'blow film'])),
            Frequencies::of(array_map(Grams::of(...), ['pipe', 'oven', 'glass', 'water'])),
        );
        self::assertSame(
            [['blow film', 2]], array_map(fn (TypicalPhrase $one): array => [$one->phrase, $one->in], $few),
        );
    }

    /** @return Generator<list<Profile>> eight of them */
    private function profiles(): Generator
    {
        return Generators::map(
            fn (array $all): array => array_map(
                fn (array $one, int $id): Profile => Profile::of(
                    $id, implode(' ', $one[0]), $one[1] === '' ? [] : [$one[1]], $one[2],
                ),
                $all,
                array_keys($all),
            ),
            Generators::vector(8, Generators::tuple(
                Generators::vector(5, Generators::elements(self::WORDS)),
                Generators::elements('2220', '2219', '2310', '6201', ''),
                Generators::elements(12, 60, 100, 480, 3000),
            )),
        );
    }

    /**
     * @param  list<Profile>  $accounts
     * @param  list<int|string>  $examples
     * @param  list<int|string>  $counter
     * @return array<int|string, Alike>
     */
    private static function results(array $accounts, array $examples, array $counter = []): array
    {
        $byId = array_column(array_map(fn (Profile $one): array => [$one->id, $one], $accounts), 1, 0);
        $pick = fn (array $ids): array => array_values(array_map(
            fn (int|string $id): Profile => $byId[$id], array_unique($ids),
        ));
        $alike = Lookalikes::to($pick($examples), $pick($counter), Frequencies::of(
            array_map(fn (Profile $one): array => $one->grams, $accounts),
        ));

        return array_map($alike->of(...), $byId);
    }

    /**
     * @param  list<string>  $here
     * @param  list<string>  $elsewhere
     * @return array<string, float>
     */
    private static function typical(array $here, array $elsewhere, int $most = 12): array
    {
        return array_column(array_map(fn (TypicalPhrase $one): array => [$one->phrase, $one->z], TypicalPhrases::of(
            Frequencies::of(array_map(Grams::of(...), $here)),
            Frequencies::of(array_map(Grams::of(...), $elsewhere)),
            $most,
        )), 1, 0);
    }

    /**
     * @param  array<string, int>  $grams
     * @param  list<string>  $order
     * @return array<string, int>
     */
    private static function sorted(array $grams, array $order): array
    {
        return array_replace(array_intersect_key(array_flip($order), $grams), $grams);
    }
}
