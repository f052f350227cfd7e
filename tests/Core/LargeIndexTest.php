<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Index\Bitmap;
use Luftig\Core\Index\Facets;
use Luftig\Core\Index\Index;
use Luftig\Core\Index\Indexer;
use Luftig\Core\Index\Memory;
use Luftig\Core\Index\Narrowing;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use Luftig\Core\Text\Fold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The index where it is large enough to go its quicker ways: many values, texts without end, bands, people by the
 * thousand.
 */
final class LargeIndexTest extends TestCase
{
    private const TODAY = 20_000;

    /** @var list<Record> */
    private static array $accounts;

    private static Memory $store;

    private static Index $index;

    public static function setUpBeforeClass(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $contact = 5000;
        self::$accounts = [];
        for ($id = 10; $id < 4510; $id += 3) {
            $contacts = $events = [];
            for ($i = $random->getInt(0, 15) === 0 ? 45 : $random->getInt(0, 9); $i > 0; $i--) {
                $contacts[] = new Record(
                    $contact += $random->getInt(1, 3),
                    [
                        'seniority' => [['head', 'manager', 'specialist'][$random->getInt(0, 2)]],
                        'language' => ['German'],
                    ],
                    ['in_position' => self::TODAY - $random->getInt(0, 4000)],
                    [
                        'title' => $random->getInt(0, 2) === 0
                            ? ' plant manager '
                            : Fold::line("Planner of line {$random->getInt(1, 900)}"),
                    ],
                    order: $random->getInt(0, 1_000_000) / 10_000,
                );
            }
            for ($i = $random->getInt(25, 50); $i > 0; $i--) {
                $events[] = new Record(
                    0,
                    ['event_kind' => ['news']],
                    ['event_age' => self::TODAY - $random->getInt(0, 700)],
                    [
                        'event_text' => $random->getInt(0, 9) === 0
                            ? ' in the press '
                            : Fold::line("Named for the {$random->getInt(1, 90_000)}th time"),
                    ],
                );
            }
            self::$accounts[] = new Record($id, [
                'owner' => [(string) $random->getInt(1, 300)],
                'country' => [chr(65 + $random->getInt(0, 8)).chr(65 + $random->getInt(0, 9))],
                'city' => ['Town '.$random->getInt(1, 120)],
                'technology' => $random->getInt(0, 1) === 1 ? ['Tryklog', 'Ordvika'] : [],
            ], ['headcount' => $random->getInt(1, 70_000)], [], null, $contacts, $random->getInt(0, 10_000) / 7,
                $events);
        }
        $indexer = new Indexer(array_map(
            Indexer::pagesOf(...),
            self::$accounts,
        ));
        array_map($indexer->add(...), self::$accounts);
        self::$store = new Memory(iterator_to_array($indexer->pieces()));
        self::$index = new Index(self::$store);
    }

    /** @return array<string, array{list<Condition>}> */
    public static function searches(): array
    {
        return [
            'everybody' => [[]],
            'an owner whose number is no longer a byte' => [[Condition::any(Field::Owner, ['3', '299', '300'])]],
            'a country of very many, and a town' => [[
                Condition::any(Field::Country, ['AA', 'BC', 'IJ', 'ZZ']),
                Condition::any(Field::City, ['town 7', 'TOWN 119'], true),
            ]],
            'a text that stands in thousands of places' => [[
                Condition::together(
                    Field::Event,
                    [Condition::query(Field::EventText, '"in the press"'), Condition::range(Field::EventAge, 0, 30)],
                ),
            ]],
            'a text that stands once or twice' => [[
                Condition::together(Field::Event, [Condition::query(Field::EventText, '1th OR 77th OR 89999th OR 5*')]),
            ]],
            'all but one text' => [[
                Condition::together(
                    Field::Event,
                    [Condition::query(Field::EventText, '-press'), Condition::range(Field::EventAge, 650, null)],
                    2,
                ),
            ]],
            'signals over several pages' => [
                [Condition::together(Field::Event, [Condition::query(Field::EventText, 'named')], 40)],
            ],
            'large numbers' => [[Condition::range(Field::Headcount, 300, 65_536)]],
        ];
    }

    /** @param  list<Condition>  $conditions */
    #[DataProvider('searches')]
    public function test_what_is_found_counted_ordered_and_drawn_is_what_a_plain_evaluation_says(
        array $conditions,
    ): void {
        foreach (Subject::cases() as $subject) {
            $result = $this->remaining($conditions, $subject);
            $expected = Plain::found(self::TODAY, self::$accounts, $subject, $conditions, []);
            $ids = self::$index->ids($result, $subject);
            sort($ids);
            self::assertSame($expected, $ids);
            self::assertNotSame([], $ids, 'the search finds somebody');
            self::assertSame($this->counted($subject, $expected, 'country'), $this->sorted(
                Facets::of([[self::$index, $result]], Field::Country, $subject),
            ));
            self::assertSame($this->counted($subject, $expected, 'city'), $this->sorted(
                Facets::of([[self::$index, $result]], Field::City, $subject),
            ));
            self::assertSame($this->counted($subject, $expected, 'owner'), $this->sorted(
                Facets::of([[self::$index, $result]], Field::Owner, $subject),
            ));

            $orders = $this->orders($subject, $expected);
            arsort($orders);
            $first = self::$index->first($result, $subject, 700);
            self::assertSame(
                array_slice(array_values($orders), 0, 700),
                array_map(fn (int $id): float => $orders[$id], array_keys($first)),
            );

            $drawn = self::$index->evenly($result, $subject, 50);
            self::assertCount(min(50, count($expected)), array_unique($drawn));
            self::assertSame([], array_diff($drawn, $expected));
        }
    }

    public function test_sets_of_thousands_are_found_again_and_strangers_passed_over(): void
    {
        $contacts = Plain::found(self::TODAY, self::$accounts, Subject::Contacts, [], []);
        $wanted = array_values(array_filter(range(1, 30_000), fn (int $id): bool => $id % 7 < 3));
        shuffle($wanted);
        $found = self::$index->ids(
            self::$index->step(
                Condition::any(Field::ListOf, ['contact:x']), Subject::Contacts, self::TODAY, fn (): array => $wanted,
            )->meet,
            Subject::Contacts,
        );
        self::assertEqualsCanonicalizing(array_intersect($contacts, $wanted), $found);

        $ids = array_map(fn (Record $account): int => $account->id, self::$accounts);
        foreach ([array_slice($ids, 100, 20), array_slice($ids, 3, 1400)] as $some) {
            $pages = self::$index->pagesOf([...$some, 1, 2, 99_999]);
            self::assertSame(
                $some,
                self::$index->ids($pages->and(self::$index->all(Subject::Accounts)), Subject::Accounts),
            );
            $hidden = new Index(self::$store, $pages);
            self::assertSame(
                array_values(array_diff($ids, $some)),
                $hidden->ids($hidden->all(Subject::Accounts), Subject::Accounts),
            );
        }
    }

    public function test_contacts_are_at_as_many_accounts_as_have_one_of_them(): void
    {
        $result = $this->remaining([Condition::query(Field::Title, 'plant OR "line 8*"')], Subject::Contacts);
        $found = array_flip(self::$index->ids($result, Subject::Contacts));
        $at = array_filter(
            self::$accounts,
            fn (Record $account): bool => array_filter($account->contacts, fn (Record $contact): bool => isset(
                $found[$contact->id],
            ))
                !== [],
        );
        self::assertSame(count($at), self::$index->accountsOf($result));
        self::assertGreaterThan(100, count($at));
    }

    /** @param  list<Condition>  $conditions */
    private function remaining(array $conditions, Subject $subject): Bitmap
    {
        return Narrowing::of(
            self::$index->all($subject),
            array_map(
                fn (Condition $condition) => self::$index->step($condition, $subject, self::TODAY, fn (): array => []),
                $conditions,
            ),
        )->result;
    }

    /**
     * @param  list<int>  $found
     * @return array<array-key, int> value → how many
     */
    private function counted(Subject $subject, array $found, string $field): array
    {
        $found = array_flip($found);
        $counts = [];
        foreach (self::$accounts as $account) {
            foreach ($subject === Subject::Accounts ? [$account] : $account->contacts as $record) {
                if (isset($found[$record->id])) {
                    $counts[$account->values[$field][0]] = ($counts[$account->values[$field][0]] ?? 0) + 1;
                }
            }
        }

        return $this->sorted($counts);
    }

    /**
     * @param  list<int>  $found
     * @return array<int, float> id → order, to the precision at which it is held
     */
    private function orders(Subject $subject, array $found): array
    {
        $found = array_flip($found);
        $orders = [];
        foreach (self::$accounts as $account) {
            foreach ($subject === Subject::Accounts ? [$account] : $account->contacts as $record) {
                if (isset($found[$record->id])) {
                    $orders[$record->id] = round($record->order, 5);
                }
            }
        }

        return $orders;
    }

    /**
     * @param  array<array-key, int>  $counts
     * @return array<array-key, int>
     */
    private function sorted(array $counts): array
    {
        ksort($counts);

        return $counts;
    }
}
