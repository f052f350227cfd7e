<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Signal\Opening;
use Luftig\Core\Signal\Openings;
use Luftig\Core\Signal\Posting;
use Luftig\Core\Signal\RoleOfInterest;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Openings told from postings (rule 17), and their strength (rule 2). */
final class OpeningsTest extends TestCase
{
    use TestTrait;

    /** @return array<string, array{array{employer?: string, title?: string, place?: string, day?: float}, bool}> */
    public static function others(): array
    {
        return [
            'the same, a day later' => [['day' => 1], true],
            'on the 45th day' => [['day' => 45], true],
            'on the 46th day' => [['day' => 45.01], false],
            'another legal form' => [['employer' => 'Glasverk Tunhede'], true],
            'another case and marks' => [['title' => 'MAINTENANCE-PLANNER (m/w/d)'], true],
            'other genders' => [['title' => 'Maintenance planner m/f/x'], true],
            'another title' => [['title' => 'Maintenance manager'], false],
            'another place' => [['place' => 'Skive'], false],
            'no place known' => [['place' => ''], false],
            'another employer' => [['employer' => 'Glasverk Sverkhult A/S'], false],
        ];
    }

    /** @param  array{employer?: string, title?: string, place?: string, day?: float}  $other */
    #[DataProvider('others')]
    public function test_two_postings_are_one_opening_or_two(array $other, bool $isOne): void
    {
        $openings = Openings::of([$this->posting(1), $this->posting(...['id' => 2] + $other)]);
        self::assertSame($isOne ? [[1, 2]] : [[1], [2]], $this->ids($openings));
    }

    public function test_one_that_is_put_up_again_and_again_stays_one(): void
    {
        $openings = Openings::of(array_map(fn (int $n): Posting => $this->posting($n, day: 40 * $n), [3, 0, 2, 1]));
        self::assertSame([[0, 1, 2, 3]], $this->ids($openings));
        self::assertSame(3, $openings[0]->newest()->id);
    }

    public function test_title_and_text_count_together_and_an_agency_for_nobody(): void
    {
        $role = new RoleOfInterest('planner', Query::parse('planner'), Query::parse('"compressed air"'), 0);
        $openings = Openings::of([
            $this->posting(1, text: 'You know compressed air.'),
            $this->posting(2, place: 'Skive'),
            $this->posting(3, title: 'Fitter', text: 'You know compressed air.'),
            $this->posting(4, title: 'Cook'),
            $this->posting(5, place: 'Oslo', text: 'For our client: compressed air.'),
            $this->posting(6, place: 'Bergen', text: 'Compressed air.', type: 'PART_TIME'),
            $this->posting(7, place: 'Molde', text: 'Compressed air.', type: 'Full-time, PART_TIME'),
        ], $role);
        self::assertSame(
            [1.0, .5, .5, 0.0, 0.0, 0.0, 1.0],
            array_map(fn (Opening $one): float => $one->counts, $openings),
        );
        // 1 − ½^(1 + ½ + ½ + 1)
        self::assertEqualsWithDelta(.875, Openings::strength($openings), 1e-12);
        $plain = new RoleOfInterest('planner', Query::parse('planner'), null, 0, ['part-time']);
        self::assertSame([1.0, 0.0], array_map(
            fn (Opening $one): float => $one->counts,
            Openings::of(
                [$this->posting(1, type: 'PART_TIME'), $this->posting(2, place: 'X', type: 'FULL_TIME')],
                $plain,
            ),
        ));
    }

    /** @return list<array{string, string, string|null}> */
    public static function agencies(): array
    {
        return [
            ['Tunhede Rekrytering AB', 'Planner for a plant.', 'agency, by its name: “rekrytering”'],
            ['Quast GmbH', 'Für unseren Kunden in Wismar suchen wir.', 'agency, by its wording: “unseren kunden”'],
            ['Hollen BV', 'Namens onze opdrachtgever.', 'agency, by its wording: “namens onze opdrachtgever”'],
            ['Firm', 'On behalf of a glassworks we seek', 'agency, by its wording: “on behalf of”'],
            ['Glasverk Tunhede', 'You speak with our clients every day.', null],
            ['Glasverk Tunhede', '', null],
        ];
    }

    #[DataProvider('agencies')]
    public function test_an_agency_is_told_by_name_or_wording(string $employer, string $text, ?string $because): void
    {
        $known = $this->posting(1, employer: $employer, text: $text)->agency;
        self::assertSame($because, $known === null ? null : substr($known, 0, strlen((string) $because)));
        self::assertNotNull((new Posting(1, 'Firm', 'Cook', '', 0, isByAgency: true))->agency);
    }

    public function test_order_and_repetition_change_nothing(): void
    {
        $this->forAll(Generators::seq(Generators::tuple(Generators::choose(0, 3), Generators::choose(0, 200))))
            ->then(function (array $drawn): void {
                $postings = array_map(
                    fn (array $one, int $i): Posting => $this->posting($i, title: "Role {$one[0]}", day: $one[1]),
                    $drawn,
                    array_keys($drawn),
                );
                $openings = Openings::of($postings);
                self::assertSame(
                    count($openings),
                    count(Openings::of([...array_reverse($postings), ...$postings])),
                );
                self::assertSame(count($postings), array_sum(array_map(count(...), $this->ids($openings))));
                self::assertEqualsWithDelta(1 - .5 ** count($openings), Openings::strength($openings), 1e-12);
            });
    }

    private function posting(
        int $id,
        string $employer = 'Glasverk Tunhede A/S',
        string $title = 'Maintenance planner',
        string $place = 'Hobro',
        float $day = 0,
        string $text = '',
        string $type = '',
    ): Posting {
        return new Posting($id, $employer, $title, $place, $day * 86_400, $text, $type);
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<list<int|string>>
     */
    private function ids(array $openings): array
    {
        return array_map(
            fn (Opening $one): array => array_map(fn (Posting $posting): int|string => $posting->id, $one->postings),
            $openings,
        );
    }
}
