<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Company\Technology;
use Luftig\Core\Index\Bitmap;
use Luftig\Core\Index\Facets;
use Luftig\Core\Index\Index;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Memory;
use Luftig\Core\Index\Narrowing;
use Luftig\Core\Index\Pieces;
use Luftig\Core\Index\Record;
use Luftig\Core\Index\Slices;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\SpotCheck;
use Luftig\Core\Search\Subject;
use Luftig\Core\Text\Fold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rules 12 and 13, and the index against a plain evaluation. */
final class FinderTest extends TestCase
{
    use TestTrait;

    private const TODAY = 20_000;

    public function test_the_worked_examples_of_spot_checks_come_out(): void
    {
        $check = SpotCheck::of(17, 20, 840);
        self::assertEqualsWithDelta([.642, .947], [$check->low, $check->high], 5e-4);
        self::assertEqualsWithDelta([.642 * 840, .947 * 840], $check->expected, .5);
        self::assertEqualsWithDelta(.857, SpotCheck::of(30, 35, 35)->low, 5e-4);
        self::assertSame([30.0, 30.0], SpotCheck::of(30, 35, 35)->expected);
        self::assertSame([0.0, 1.0], [SpotCheck::of(0, 0, 50)->low, SpotCheck::of(0, 0, 50)->high]);
        self::assertSame(0, SpotCheck::of(0, 0, 0)->more);
        self::assertLessThanOrEqual(
            15.0,
            SpotCheck::of(10, 20, 25)->expected[1],
            'ten of them are known not to be good',
        );
        self::assertGreaterThanOrEqual(10.0, SpotCheck::of(10, 20, 25)->expected[0]);
        $this->expectException(Mistake::class);
        SpotCheck::of(3, 2, 10);
    }

    public function test_judging_more_narrows_and_the_promised_number_is_enough(): void
    {
        $this->limitTo(100)->forAll(
            Generators::choose(1, 400),
            Generators::choose(0, 100),
            Generators::choose(1, 100),
        )->then(function (int $population, int $share, int $part): void {
            $judged = max(1, intdiv($population * $part, 100));
            $fits = intdiv($judged * $share, 100);
            $check = SpotCheck::of($fits, $judged, $population);
            self::assertLessThanOrEqual($check->high, $check->low);
            self::assertGreaterThanOrEqual($fits, $check->expected[0]);
            self::assertSame($check->more === 0, ($check->high - $check->low) / 2 <= .10);
            self::assertLessThanOrEqual($population, $judged + $check->more);
        });
    }

    public function test_intervals_are_wilsons_and_the_number_to_judge_is_the_least(): void
    {
        $interval = function (float $p, int $judged, int $population): array {
            if ($judged === $population) {
                return [$p, $p];
            }
            $n = $judged * ($population - 1) / ($population - $judged);
            $z = 1.95996398454;
            $root = $z * sqrt($p * (1 - $p) / $n + $z * $z / (4 * $n * $n));

            return [
                max(0.0, ($p + $z * $z / (2 * $n) - $root) / (1 + $z * $z / $n)),
                min(1.0, ($p + $z * $z / (2 * $n) + $root) / (1 + $z * $z / $n)),
            ];
        };
        $this->limitTo(150)->forAll(Generators::choose(1, 900), Generators::choose(1, 60), Generators::choose(0, 60))
            ->disableShrinking()->then(function (int $population, int $judged, int $fits) use (
                $interval,
            ): void {
                $judged = min($judged, $population);
                $fits = min($fits, $judged);
                [$low, $high] = $interval($fits / $judged, $judged, $population);
                $check = SpotCheck::of($fits, $judged, $population);
                self::assertEqualsWithDelta([$low, $high], [$check->low, $check->high], 1e-9);
                self::assertEqualsWithDelta(
                    array_map(
                        fn (float $share): float => min(
                            $population - $judged + $fits,
                            max($fits, $share * $population),
                        ),
                        [$low, $high],
                    ),
                    $check->expected,
                    1e-6,
                );
                for ($needed = $judged; $needed < $population; $needed++) {
                    [$low, $high] = $interval($fits / $judged, $needed, $population);
                    if ($high - $low <= .2) {
                        break;
                    }
                }
                self::assertSame($needed - $judged, $check->more);
            });
        foreach ([[-1, 2, 10], [3, 2, 10], [0, -1, 10], [1, 11, 10], [0, 0, -1]] as $wrong) {
            try {
                SpotCheck::of(...$wrong);
                self::fail(implode(', ', $wrong).' was taken.');
            } catch (Mistake $mistake) {
                self::assertContains($mistake->at, ['fits', 'judged', 'population']);
            }
        }
    }

    public function test_a_sample_is_spread_evenly_and_the_same_for_a_seed(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(0, 3000), Generators::choose(1, 999))->then(function (
            int $population,
            int $seed,
        ): void {
            $drawn = SpotCheck::draw($population, $seed);
            self::assertSame($drawn, SpotCheck::draw($population, $seed));
            self::assertCount(min(20, $population), array_unique($drawn));
            foreach ($drawn as $i => $at) {
                self::assertGreaterThanOrEqual(intdiv($i * $population, count($drawn)), $at);
                self::assertLessThan(max(1, intdiv(($i + 1) * $population, count($drawn))), $at);
            }
        });
        self::assertSame(
            [['field' => 'industry', 'value' => '46', 'misses' => 2]],
            SpotCheck::sharedByMisses(
                [['industry' => ['46'], 'country' => ['SE']], ['industry' => ['46'], 'country' => ['SE']], [
                    'industry' => ['70'],
                ]],
                [['industry' => ['23'], 'country' => ['SE']]],
            ),
        );
    }

    public function test_bits_and_slices_are_sets_and_numbers(): void
    {
        $numbers = Generators::seq(Generators::choose(0, 5000));
        $this->limitTo(60)->forAll($numbers, Generators::choose(0, 5200), Generators::choose(0, 5200))->then(function (
            array $numbers,
            int $a,
            int $b,
        ): void {
            [$low, $high] = [min($a, $b), max($a, $b)];
            $digits = [];
            for ($i = 0; $i < 13; $i++) {
                $digits[] = Bitmap::of(array_keys(array_filter($numbers, fn (int $n): bool => ($n >> $i & 1) === 1)));
            }
            $known = Bitmap::of(array_keys($numbers));
            $expected = array_keys(array_filter($numbers, fn (int $n): bool => $n >= $low && $n <= $high));
            self::assertSame($expected, [...(new Slices($digits))->between($low, $high, $known)->positions()]);
            self::assertSame(count($numbers), $known->count());
            $every = max(1, intdiv($low, 100));
            self::assertSame(
                array_values(array_filter($expected, fn (int $i): bool => $i % $every === 0, ARRAY_FILTER_USE_KEY)),
                Bitmap::of($expected)->ranked(range(0, 5000, $every)),
            );
        });
    }

    public function test_random_searches_find_what_a_plain_evaluation_finds(): void
    {
        $this->limitTo(80)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $random = new Randomizer(new Mt19937($seed));
            $accounts = $this->world($random);
            $indexer = new Indexer(array_map(
                Indexer::pagesOf(...),
                $accounts,
            ));
            array_map($indexer->add(...), $accounts);
            $index = new Index(new Memory(iterator_to_array($indexer->pieces())));
            $sets = [
                'contact:1' => array_filter(range(1, 400), fn (int $id): bool => $random->getInt(0, 3) === 0),
                'account:1' => [1, 3, 4, 9],
            ];
            foreach (Subject::cases() as $subject) {
                $conditions = array_values(array_filter(
                    array_map(fn (): Condition => $this->condition($random), range(1, 4)),
                    fn (Condition $condition): bool => $condition->field->suits($subject) && (
                        $subject === Subject::Contacts || $condition->any !== ['contact:1']
                    ),
                ));
                $steps = array_map(
                    fn (Condition $condition) => $index->step(
                        $condition, $subject, self::TODAY, fn (string $name): array => array_values($sets[$name]),
                    ),
                    $conditions,
                );
                $narrowing = Narrowing::of($index->all($subject), $steps);
                $remain = fn (?int $leftOut = null, ?int $until = null): array => Plain::found(
                    self::TODAY,
                    $accounts,
                    $subject,
                    array_values(
                        array_filter(
                            $conditions,
                            fn (int $i): bool => $i !== $leftOut && ($until === null || $i <= $until),
                            ARRAY_FILTER_USE_KEY,
                        ),
                    ),
                    $sets,
                );
                $found = $index->ids($narrowing->result, $subject);
                sort($found);
                self::assertSame($remain(), $found, "seed $seed");
                foreach ($conditions as $i => $condition) {
                    $others = $remain($i);
                    $unknown = count(array_filter(
                        $others,
                        fn (int $id): bool => Plain::ofId(self::TODAY, $accounts, $subject, $id, $condition, $sets)
                            === null,
                    ));
                    self::assertSame(
                        [count($remain(null, $i)), count($others), $unknown],
                        [$narrowing->after[$i], $narrowing->without[$i], $narrowing->unknown[$i]],
                        "seed $seed, step $i",
                    );
                }
                $first = $index->first($narrowing->result, $subject, 5);
                self::assertSame(
                    array_slice(array_reverse($found), 0, 5),
                    array_keys($first),
                    'in the order that was given',
                );
                if ($subject === Subject::Contacts) {
                    $at = array_filter(
                        $accounts,
                        fn (Record $account): bool => array_intersect(
                            array_map(fn (Record $contact): int => $contact->id, $account->contacts),
                            $found,
                        ) !== [],
                    );
                    self::assertSame(count($at), $index->accountsOf($narrowing->result));
                    $employers = [];
                    foreach ($at as $account) {
                        $ids = array_map(fn (Record $contact): int => $contact->id, $account->contacts);
                        $employers[$account->id] = count(array_intersect($ids, $found));
                    }
                    rsort($employers);
                    foreach ([2, 50] as $most) {
                        $largest = $index->employers($narrowing->result, $most);
                        self::assertSame(array_slice($employers, 0, $most), array_values($largest), "seed $seed");
                    }
                    foreach ($at as $account) {
                        $ids = array_map(fn (Record $contact): int => $contact->id, $account->contacts);
                        self::assertSame(count(array_intersect($ids, $found)), $largest[$account->id]);
                    }
                }
                $countries = array_count_values(array_merge(
                    [],
                    ...array_map(
                        fn (Record $account): array => $subject === Subject::Accounts ? (
                            in_array($account->id, $found, true) ? $account->values['country'] ?? [] : []
                        ) : array_merge([], ...array_map(
                            fn (Record $contact): array => in_array($contact->id, $found, true)
                                ? $account->values['country'] ?? []
                                : [],
                            $account->contacts,
                        )),
                        $accounts,
                    ),
                ));
                $counts = Facets::of([[$index, $narrowing->result]], Field::Country, $subject);
                ksort($countries);
                ksort($counts);
                self::assertSame($countries, $counts);
            }
        });
    }

    public function test_words_are_found_in_every_line_of_a_long_text(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $words = ['three', 'shifts', 'glass', 'air', 'pumps', 'line'];
        $text = fn (): string => implode(
            ' ',
            array_map(fn (): string => $words[$random->getInt(0, 5)], range(1, $random->getInt(1, 40))),
        );
        $lines = array_map(fn (): string => Passage::line($text(), $text(), $text()), range(1, 9000));
        $pieces = new Pieces(new Memory(['t:words' => implode("\n", $lines)]));
        self::assertGreaterThan(2 << 20, strlen($pieces->get('t:words')), 'more than is read at once');
        $in = fn (callable $part, string $needle): array => array_keys(
            array_filter($lines, fn (string $line): bool => str_contains($part(explode("\x1F", $line)), $needle)),
        );
        foreach ([' three shifts ', ' glass glass glass ', ' pum', ' nothing '] as $needle) {
            self::assertSame(
                $in(fn (array $parts): string => implode('|', $parts), $needle),
                $pieces->linesWith('words', $needle),
            );
            self::assertSame(
                $in(fn (array $parts): string => $parts[1], $needle),
                $pieces->linesWith('words', $needle, [Passage::Keywords]),
            );
            self::assertSame(
                $in(fn (array $parts): string => "$parts[0]|$parts[2]", $needle),
                $pieces->linesWith('words', $needle, [Passage::Description, Passage::Name]),
            );
        }
        self::assertSame($lines, [...$pieces->lines('t:words')]);
        $needles = [' glass glass glass ', ' three ', ' air pumps line ', ' nothing ', ' three shifts '];
        foreach ([$needles, array_slice($needles, 2, 2), [' nothing '], []] as $some) {
            self::assertSame(
                $in(
                    fn (array $parts): string => array_filter(
                        $some,
                        fn (string $needle): bool => str_contains(implode('|', $parts), $needle),
                    ) === [] ? '' : 'x',
                    'x',
                ),
                $pieces->linesWithAny('words', $some),
            );
        }
    }

    public function test_what_stands_in_several_indexes_is_counted_as_one(): void
    {
        $this->limitTo(40)->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $random = new Randomizer(new Mt19937($seed));
            $accounts = $this->world($random);
            $asked = $expected = [];
            foreach (array_chunk($accounts, max(1, intdiv(count($accounts), 2))) as $part) {
                $indexer = new Indexer(array_map(
                    Indexer::pagesOf(...),
                    $part,
                ));
                array_map($indexer->add(...), $part);
                $index = new Index(new Memory(iterator_to_array($indexer->pieces())));
                $asked[] = [$index, $index->all(Subject::Contacts)];
            }
            foreach ($accounts as $account) {
                foreach (array_unique(array_map(Technology::key(...), $account->values['technology'])) as $technology) {
                    $expected[$technology] = ($expected[$technology] ?? 0) + count($account->contacts);
                }
            }
            $expected = array_filter($expected);
            $found = Facets::of($asked, Field::Technology, Subject::Contacts);
            $counts = array_combine(array_map(Technology::key(...), array_keys($found)), $found);
            self::assertEquals($expected, $counts, "seed $seed");
            self::assertSame($expected === [] ? [] : [max($expected)], array_values(
                Facets::of($asked, Field::Technology, Subject::Contacts, 1),
            ));
        });
    }

    /** @return list<Record> */
    private function world(Randomizer $random): array
    {
        $accounts = [];
        $contact = 0;
        for ($id = 1, $count = $random->getInt(1, 12); $id <= $count; $id++) {
            $contacts = [];
            for ($i = $random->getInt(0, 2) === 0 ? $random->getInt(17, 40) : $random->getInt(0, 5); $i > 0; $i--) {
                $contacts[] = new Record(++$contact,
                    $this->maybe($random, ['seniority' => [['head', 'manager'][$random->getInt(0, 1)]]]),
                    $this->maybe($random, ['in_position' => self::TODAY - $random->getInt(0, 900)]),
                    $this->maybe($random, [
                        'title' => Fold::line(
                            ['Head of Maintenance', 'Plant Manager', 'Maintenance Planner'][$random->getInt(0, 2)],
                        ),
                    ]),
                    order: $contact,
                    parts: $random->getInt(0, 2) === 0 ? null : $this->some($random, 3, fn (): Record => new Record(
                        0,
                        [],
                        $this->maybe($random, ['before_ended' => self::TODAY - $random->getInt(0, 900)]),
                        $this->maybe($random, ['before_title' => ' shift lead ']) + $this->maybe($random, [
                            'before_company' => Fold::line(['Fjernlund Papir', 'Shift Works'][$random->getInt(0, 1)]),
                        ]),
                    )));
            }
            $accounts[] = new Record($id,
                $this->maybe($random, ['country' => [['SE', 'DE', 'DK'][$random->getInt(0, 2)]]])
                    + ['technology' => array_slice(
                        [
                            ['Tryklog', 'TRYK-log v2'][$random->getInt(0, 1)],
                            ['Ordvika', 'tryklog 3'][$random->getInt(0, 1)],
                        ],
                        0,
                        $random->getInt(0, 2),
                    )]
                    + $this->maybe($random, ['attribute:shifts' => ['*', 'Three']]),
                $this->maybe($random, ['headcount' => $random->getInt(1, 900)])
                    + $this->maybe($random, ['fit' => $random->getInt(0, 1000) / 1000]),
                $this->maybe($random, [
                    'words' => Passage::line(
                        ['Shift Works', 'Glasverk'][$random->getInt(0, 1)],
                        ['three shifts, glass', 'compressed air', null][$random->getInt(0, 2)],
                        [null, 'Air for every shift'][$random->getInt(0, 1)],
                        [null, 'Three lines of glass'][$random->getInt(0, 1)],
                    ),
                ]),
                $random->getInt(0, 3) === 0 ? null : $this->some($random, 3, fn (int $i): array => [
                    55 + $random->getInt(0, 30) / 10,
                    12.0,
                    $i === 0 && $random->getInt(0, 2) > 0,
                ]),
                $contacts,
                $id,
                $this->some($random, $random->getInt(0, 3) === 0 ? 80 : 4, fn (): Record => new Record(
                    $contacts === [] || $random->getInt(0, 2) > 0
                        ? 0
                        : $contacts[$random->getInt(0, min(2, count($contacts) - 1))]->id,
                    ['event_kind' => [['funding', 'hiring'][$random->getInt(0, 1)]]]
                        + $this->maybe($random, ['event_round' => [['a', 'b'][$random->getInt(0, 1)]]]),
                    ['event_age' => self::TODAY - $random->getInt(-20, 400)]
                        + $this->maybe($random, ['event_amount' => $random->getInt(0, 9) * 1e6]),
                    ['event_text' => Fold::line(['A fourth line', 'Seeks a planner'][$random->getInt(0, 1)])],
                )),
                $random->getInt(0, 2) === 0 ? null : $this->openings($random));
        }

        return $accounts;
    }

    /** @return list<Record> of which there may be more than a page has room for */
    private function openings(Randomizer $random): array
    {
        return $this->some($random, $random->getInt(0, 3) === 0 ? 70 : 3, fn (): Record => new Record(
            0,
            $this->maybe($random, [
                'opening_type' => [['full time'], ['part time', 'temporary']][$random->getInt(0, 1)],
            ]),
            ['opening_age' => self::TODAY - $random->getInt(0, 200)],
            ['opening_title' => Fold::line(['Maintenance planner', 'Cook'][$random->getInt(0, 1)])]
                + $this->maybe($random, ['opening_place' => Fold::line(['Hobro', 'Halden'][$random->getInt(0, 1)])]),
        ));
    }

    /**
     * @template T
     *
     * @param  callable(int): T  $make
     * @return list<T>
     */
    private function some(Randomizer $random, int $most, callable $make): array
    {
        return array_map($make, array_slice(range(0, $most), 0, $random->getInt(0, $most)));
    }

    /**
     * @template T of array
     *
     * @param  T  $facts
     * @return T|array{}
     */
    /** @return iterable<string, array{callable(): Condition, string}> */
    public static function impossible(): iterable
    {
        yield 'no latitude' => [fn () => Condition::near([95.0, 12.0], 10), 'latitude'];
        yield 'no longitude' => [fn () => Condition::near([55.0, 181.0], 10), 'longitude'];
        yield 'no place at all' => [fn () => Condition::near([NAN, 12.0], 10), 'latitude'];
        yield 'a radius without end' => [fn () => Condition::near([55.0, 12.0], INF), 'radius'];
        yield 'a text as a headcount' => [fn () => Condition::query(Field::Headcount, 'many'), 'asked by a lower'];
        yield 'a value as a headcount' => [fn () => Condition::any(Field::Headcount, ['many']), 'asked by a lower'];
        yield 'bounds of a country' => [fn () => Condition::range(Field::Country, 1, 2), 'asked by values'];
        yield 'bounds of words' => [fn () => Condition::range(Field::Words, 1, 2), 'asked by words'];
        yield 'a bound that is no number' => [fn () => Condition::range(Field::Revenue, NAN, 2), 'is a number'];
        yield 'a bound beyond numbers' => [fn () => Condition::range(Field::Revenue, 1, INF), 'is a number'];
        yield 'an empty value' => [fn () => Condition::any(Field::Country, ['SE', ' ']), 'at least one value'];
        yield 'parts of what has none' => [
            fn () => Condition::together(Field::Country, [Condition::any(Field::Country, ['SE'])]),
            'asked by values',
        ];
        yield 'signals of nobody' => [
            fn () => Condition::together(Field::Event, [Condition::any(Field::EventKind, ['news'])], which: 'nobody'),
            'Signals are those of the account, or of its people.',
        ];
        yield 'a part of something else' => [
            fn () => Condition::together(Field::Event, [Condition::any(Field::Country, ['SE'])]),
            'no part of a signal',
        ];
        yield 'a part that excludes' => [
            fn () => Condition::together(Field::Event, [Condition::any(Field::EventKind, ['news'], true)]),
            'no part of a signal',
        ];
    }

    /** @param  callable(): Condition  $make */
    #[DataProvider('impossible')]
    public function test_a_condition_that_nothing_can_meet_is_refused(callable $make, string $says): void
    {
        $this->expectException(Mistake::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($says, '/').'/');
        $make();
    }

    private function maybe(Randomizer $random, array $facts): array
    {
        return $random->getInt(0, 3) === 0 ? [] : $facts;
    }

    private function condition(Randomizer $random): Condition
    {
        $exclude = $random->getInt(0, 1) === 1;
        $unknown = [null, true, false][$random->getInt(0, 2)];
        $low = $random->getInt(0, 900);

        return match ($random->getInt(0, 13)) {
            0 => Condition::any(
                Field::Country, array_slice(['SE', 'DE', 'XX'], 0, $random->getInt(1, 3)), $exclude, $unknown,
            ),
            1 => Condition::any(
                Field::Technology,
                array_slice(['tryklog', 'Ordvika'], 0, $random->getInt(1, 2)),
                $exclude,
                $unknown,
                $random->getInt(0, 1) === 1,
            ),
            2 => Condition::range(
                Field::Headcount, $low, $random->getInt(0, 1) ? null : $low + 200, $exclude, $unknown,
            ),
            3 => Condition::range(Field::Fit, null, $low / 1000, $exclude, $unknown),
            4 => Condition::query(
                Field::Title,
                [
                    'maintenance -planner',
                    'plant OR "head of"',
                    '-plant',
                    "Plant Manager\nmaintenance planners",
                    implode(
                        "\n",
                        array_map(
                            fn (int $i): string => $i === $low % 20 ? 'of maintenance' : "head no $i",
                            range(0, 19),
                        ),
                    ),
                ][$random->getInt(0, 4)],
                $exclude,
                $unknown,
            ),
            5 => Condition::query(
                Field::Words,
                ['shift*', 'three -air', '-glass', '"works three"', 'works AND three'][$random->getInt(0, 4)],
                $exclude,
                $unknown,
                ['', 'keywords', 'keywords,description', 'name', 'site'][$random->getInt(0, 4)],
            ),
            6 => Condition::range(Field::InPosition, $random->getInt(0, 1) ? 100 : null, 500, $exclude, $unknown),
            7 => Condition::near(
                [56.0, 12.0], $random->getInt(20, 200), $exclude, $unknown, $random->getInt(0, 1) === 1,
            ),
            8 => Condition::any(
                Field::Attribute, [['*', 'three', 'two'][$random->getInt(0, 2)]], $exclude, $unknown, which: 'shifts',
            ),
            9, 10 => Condition::together(Field::Event, $this->some($random, 3, fn (int $i): Condition => [
                fn (): Condition => Condition::range(Field::EventAge, null, (float) $low),
                fn (): Condition => Condition::any(Field::EventKind, ['funding']),
                fn (): Condition => Condition::range(Field::EventAmount, 4e6, null),
                fn (): Condition => Condition::any(Field::EventRound, ['b']),
                fn (): Condition => Condition::query(Field::EventText, 'line'),
            ][($i + $low) % 5]()) ?: [Condition::any(Field::EventKind, ['hiring'])], $random->getInt(1, 3), $exclude,
                $unknown, ['', '', 'account', 'person'][$random->getInt(0, 3)]),
            13 => Condition::together(Field::Opening, $this->some($random, 3, fn (int $i): Condition => [
                fn (): Condition => Condition::range(Field::OpeningAge, null, (float) intdiv($low, 4)),
                fn (): Condition => Condition::any(Field::OpeningType, ['temporary', 'intern']),
                fn (): Condition => Condition::query(Field::OpeningPlace, '-halden'),
            ][($i + $low) % 3]()) ?: [Condition::query(Field::OpeningTitle, 'planner')], $random->getInt(1, 3),
                $exclude, $unknown),
            11 => Condition::together(
                Field::Before,
                [Condition::query(Field::BeforeTitle, 'shift'), ...$this->some(
                    $random,
                    2,
                    fn (int $i): Condition => $i === 0
                            ? Condition::query(Field::BeforeCompany, 'papir')
                            : Condition::range(Field::BeforeEnded, null, (float) $low),
                )],
                1,
                $exclude,
                $unknown,
            ),
            default => Condition::any(
                Field::ListOf, [['contact:1', 'account:1'][$random->getInt(0, 1)]], $exclude, $unknown,
            ),
        };
    }
}
