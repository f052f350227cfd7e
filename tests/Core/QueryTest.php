<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Text\Excerpt;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rule 11. */
final class QueryTest extends TestCase
{
    use TestTrait;

    /** @return list<array{string, string}> */
    public static function readings(): array
    {
        return [
            ['operations OR "cold store" -assistant', '(operations or “cold store”) and not assistant'],
            ['a b OR c AND NOT d', '(a and b) or (c and not d)'],
            ['(a OR b) -(c d)', '(a or b) and not (c and d)'],
            ['follow-up maint*', '“follow up” and maint…'],
            ['C++ .NET R&D', 'c++ and .net and r&d'],
            ['“Zażółć” straße', 'zazolc and strasse'],
        ];
    }

    #[DataProvider('readings')]
    public function test_a_query_is_read_back(string $query, string $words): void
    {
        self::assertSame($words, Query::parse($query)->readsAs());
    }

    /** @return list<array{string, string, bool}> */
    public static function matchings(): array
    {
        return [
            ['operation', 'Head of Operations', false],
            ['operation*', 'Head of Operations', true],
            ['"head of operations"', 'Operations, head of', false],
            ['blasvik', 'BLÅSVIK A/S', true],
            ['østergård', 'Ostergard', true],
            ['weiß', 'WEISS', true],
            ['C', 'C++ and C#', false],
            ['net', 'We run .NET', false],
            ['cold-store', 'the cold store', true],
            ['-assistant', '', true],
            ['-assistant', 'Assistant to the board', false],
            ['a AND b OR c', 'c', true],
            ['a AND (b OR c)', 'c', false],
        ];
    }

    #[DataProvider('matchings')]
    public function test_it_matches_whole_folded_words(string $query, string $text, bool $matches): void
    {
        self::assertSame($matches, Query::parse($query)->matches($text));
    }

    public function test_random_queries_say_of_texts_what_their_parts_say(): void
    {
        $word = Generators::elements('pump', 'air', 'air pump', 'shift');
        $this->limitTo(300)->forAll(
            Generators::seq(Generators::tuple($word, Generators::elements('AND', 'OR', 'AND NOT', 'OR NOT'))),
            $word,
            Generators::seq($word),
        )->then(function (array $joined, string $last, array $texts): void {
            $line = Fold::line(implode(' ', $texts));
            $has = fn (string $phrase): bool => str_contains($line, " $phrase ");
            // From the loosest to the tightest: parts of OR, each parts of AND, each perhaps negated.
            $query = implode(' ', array_map(fn (array $pair): string => "\"$pair[0]\" $pair[1]", $joined))." \"$last\"";
            $expected = false;
            foreach (explode(' OR ', $query) as $any) {
                $all = true;
                foreach (explode(' AND ', $any) as $one) {
                    $all = $all && (
                        str_starts_with(trim($one), 'NOT ')
                            ? ! $has(trim(substr($one, 4), '" '))
                            : $has(trim($one, '" '))
                    );
                }
                $expected = $expected || $all;
            }
            $read = Query::parse($query);
            self::assertSame($expected, $read->matchesLine($line), "$query in $line");
            self::assertSame($expected, $read->in(new Truth($line)), "$query in $line");
        });
    }

    /** @return list<array{string, int, string}> */
    public static function mistakes(): array
    {
        return [
            ['', 0, 'empty'], ['  ?! ', 0, 'empty'], ['ä "x', 2, 'closing quote'], ['(a', 0, 'not closed'],
            ['a )', 2, 'closes nothing'],
            ['a ()', 2, 'nothing between'], ['a OR', 2, 'both sides'], ['AND a', 0, 'both sides'],
            ['a NOT', 2, 'must follow'], ['-a OR b', 3, 'both sides'], ['a OR', 2, 'both sides'],
            ['a AND OR b', 2, 'both sides'],
        ];
    }

    #[DataProvider('mistakes')]
    public function test_a_mistake_is_told_with_its_place(string $query, int $at, string $part): void
    {
        try {
            Query::parse($query);
            self::fail('read without complaint');
        } catch (QueryMistake $mistake) {
            self::assertSame($at, $mistake->at);
            self::assertStringContainsString($part, $mistake->getMessage());
        }
    }

    public function test_what_is_not_taken_as_meant_is_hinted_at(): void
    {
        self::assertCount(1, Query::parse('sales or marketing')->hints);
        self::assertCount(1, Query::parse('sales - marketing')->hints);
        self::assertSame([], Query::parse('sales OR marketing')->hints);
        self::assertTrue(Query::parse('sales - marketing')->matches('marketing and sales'));
    }

    /**
     * @return list<array{string, string, list<string>, list<string>, list<string>}> query, how it is read, texts that
     *     match, texts that do not, hints
     */
    public static function spellings(): array
    {
        return [
            [
                '"cold stor"*', '“cold stor…”', ['a cold store', 'cold storage', 'cold stor'],
                ['a cold car', 'coldstore'], [],
            ],
            ['"cold stor"* -pump', '“cold stor…” and not pump', ['cold store'], ['cold store pump'], []],
            [
                '"cold store"pump', '“cold store” and pump', ['pump in a cold store'],
                ['cold pumps in store', 'cold store'], [],
            ],
            ['"cold store"(pump)', '“cold store” and pump', ['pump in a cold store'], ['pump'], []],
            [
                '„cold store“-pump', '“cold store” and pump', ['pump in a cold store'], ['cold store'],
                ['“-” has no letter or digit in it and is left out.'],
            ],
            ['"cold store"*x', '“cold store…” and x', ['cold stores x'], ['cold stores', 'cold storex'], []],
            [
                'air "!" pump', 'air and pump', ['pump for air'], ['air'],
                ['“"!"” has no letter or digit in it and is left out.'],
            ],
            ['and air', 'and and air', ['air and'], ['air'], []],
            [
                'air and pump', 'air and and and pump', ['air and pump'], ['air pump'],
                ['“and” is read as a word; write AND to join or exclude.'],
            ],
            [
                'air not pump or', 'air and not and pump and or', ['or not air pump'], ['air'],
                ['“not” is read as a word; write NOT to join or exclude.'],
            ],
            ['air or  ', 'air and or', ['air or'], ['air'], []],
            ['air-pump', '“air pump”', ['an air pump', 'air-pump'], ['air for a pump'], []],
            ['air -pump', 'air and not pump', ['air'], ['air pump'], []],
            ['(-pump)', 'not pump', ['air'], ['pump'], []],
        ];
    }

    /**
     * @param  list<string>  $found
     * @param  list<string>  $notFound
     * @param  list<string>  $hints
     */
    #[DataProvider('spellings')]
    public function test_quotes_stars_and_minus_are_told_from_what_they_touch(
        string $query,
        string $words,
        array $found,
        array $notFound,
        array $hints,
    ): void {
        $read = Query::parse($query);
        self::assertSame([$words, $hints], [$read->readsAs(), $read->hints]);
        self::assertSame(
            [...array_fill(0, count($found), true), ...array_fill(0, count($notFound), false)],
            array_map($read->matches(...), [...$found, ...$notFound]),
        );
    }

    /** @return list<array{string, string}> query, how it is read; worked from the sentences of the rule */
    public static function precedences(): array
    {
        return [
            ['sales manager OR account manager', '(sales and manager) or (account and manager)'],
            ['owner OR founder -assistant', '(owner or founder) and not assistant'],
            ['-assistant owner OR founder', '(owner or founder) and not assistant'],
            ['owner -assistant OR founder', '(owner or founder) and not assistant'],
            ['owner NOT assistant OR founder', '(owner or founder) and not assistant'],
            ['marketing OR NOT sales', 'marketing or not sales'],
            ['a AND NOT b OR c', '(a and not b) or c'],
            ['a OR -b c', 'a or (not b and c)'],
            ['(-a b OR c) d', '((not a and b) or c) and d'],
            ['(a OR b -c) d', '((a or b) and not c) and d'],
            ['a (b -c) OR d', '(a and (b and not c)) or d'],
            ['-a -b', 'not a and not b'],
            ['NOT a AND b', 'b and not a'],
            ['NOT NOT a b', 'b and not not a'],
            ['plant manager, maintenance manager', '“plant manager” or “maintenance manager”'],
            ['plant manager, maintenance OR energy', '“plant manager” or (maintenance or energy)'],
            [
                'plant manager, maintenance manager -assistant',
                '(“plant manager” or (maintenance and manager)) and not assistant',
            ],
            ["plant manager\nmaint*", '“plant manager” or maint…'],
            ['(plant manager, chief) -deputy', '(“plant manager” or chief) and not deputy'],
            ["maintenance OR\nenergy", 'maintenance or energy'],
            ['manager,', 'manager'], [', a, , b ,', 'a or b'], ['1,5 bar', '“1 5” and bar'],
        ];
    }

    #[DataProvider('precedences')]
    public function test_what_binds_tighter_and_what_a_minus_excludes_from(string $query, string $words): void
    {
        self::assertSame($words, Query::parse($query)->readsAs());
    }

    /** @return list<array{string, string, string}> query, how it is read, a part of its hint */
    public static function guesses(): array
    {
        return [
            ['manager –assistant', 'manager and assistant', 'write -assistant to exclude'],
            ['manager --assistant', 'manager and assistant', 'write -assistant to exclude'],
            ['«plant manager»', '“plant manager”', 'read as quotes'],
            ['man*ger', '“man ger”', 'only at the end'],
            ['*ger', 'ger', 'only at the end'],
        ];
    }

    #[DataProvider('guesses')]
    public function test_nothing_is_guessed_without_a_word(string $query, string $words, string $hint): void
    {
        $read = Query::parse($query);
        self::assertSame($words, $read->readsAs());
        self::assertCount(1, $read->hints);
        self::assertStringContainsString($hint, $read->hints[0]);
    }

    public function test_signs_of_ownership_and_hyphens_that_are_not_seen_are_no_part_of_a_word(): void
    {
        self::assertSame(['airlog', 'pro'], Fold::words('Airlog™ Pro®'));
        self::assertSame(['druckluft'], Fold::words("Druck\u{AD}luft"));
        self::assertTrue(Query::parse('druckluft airlog')->matches("Airlog™ für Druck\u{AD}luft"));
    }

    public function test_a_query_of_any_length_and_depth_is_read_or_refused(): void
    {
        $long = implode(' OR ', array_map(fn (int $i): string => "word$i", range(1, 100_000)));
        self::assertTrue(Query::parse($long)->matches('the word99999 of it'));
        $this->expectException(QueryMistake::class);
        $this->expectExceptionMessage('inside each other');
        Query::parse(str_repeat('(', 10_000).'a'.str_repeat(')', 10_000));
    }

    /** @return list<array{string, list<string>}> text, the phrases of the list that it is; none: a query */
    public static function pastes(): array
    {
        return [
            ["Head of Maintenance\nPlant Manager", ['Head of Maintenance', 'Plant Manager']],
            ["  Head of Maintenance \n\n Plant Manager\nPlant Manager\n", ['Head of Maintenance', 'Plant Manager']],
            [
                "Leiter (m/w/d)\nR&D and more\nnot this\nManager - Air\nC++\nAND-Gatter\nAir*flow",
                ['Leiter (m/w/d)', 'R&D and more', 'not this', 'Manager - Air', 'C++', 'AND-Gatter', 'Air*flow'],
            ],
            ['Head of Maintenance', []], ["Head of Maintenance\n \n", []], ['', []], ["maintenance OR\nplant", []],
            ["maintenance\nNOT plant", []], ["maintenance\n-plant", []], ["maintenance\n(-plant)", []],
            ["\"cold store\"\nplant", []], ["„cold store“\nplant", []], ["mainten*\nplant", []], ["a AND\nb", []],
        ];
    }

    /** @param  list<string>  $phrases */
    #[DataProvider('pastes')]
    public function test_several_lines_without_an_operator_are_a_list(string $text, array $phrases): void
    {
        self::assertSame($phrases, Query::pasted($text));
    }

    public function test_a_list_is_met_by_any_of_its_phrases(): void
    {
        $read = Query::parse("Head of Maintenance\n –\nLeiter (m/w/d)\nnot this");
        self::assertSame(['“–” has no letter or digit in it and is left out.'], $read->hints);
        self::assertSame('“head of maintenance” or “leiter m w d” or “not this”', $read->readsAs());
        self::assertSame([true, true, true, false, false], array_map(
            $read->matches(...),
            ['the head of maintenance', 'Leiter (M/W/D)', 'is this or not this', 'head of plant maintenance', 'this'],
        ));
        self::assertSame('maintenance or plant', Query::parse("maintenance OR\nplant")->readsAs());
        self::assertSame('maintenance and plant', Query::parse('maintenance plant')->readsAs());
        $this->expectException(QueryMistake::class);
        Query::parse(" ?\n !");
    }

    /** @return list<array{string, string, string|null}> query, text, the stretch for which it matches */
    public static function excerpts(): array
    {
        return [
            ['leaks', 'Makes glass. Air leaks are sought! Ships it.', 'Air leaks are sought!'],
            ['air leaks', "First air.\nThen air and leaks.", 'Then air and leaks.'],
            ['läck*', 'Vi söker läckage i tryckluft; sedan 1990.', 'Vi söker läckage i tryckluft;'],
            ['"four lines" -glass', 'On four lines, without glass.', 'On four lines, without glass.'],
            ['-glass', 'On four lines.', null], ['-glass', 'Makes glass.', null],
            ['lines -glass', 'Glass is melted. On four lines.', 'On four lines.'],
            ['pump', 'On four lines.', null],
            [
                'leak',
                'one two three four five six seven eight nine ten leak a b c d e f g h i j',
                '… three four five six seven eight nine ten leak a b c d e f g h …',
            ],
        ];
    }

    #[DataProvider('excerpts')]
    public function test_the_stretch_is_shown_for_which_a_text_matches(string $query, string $text, ?string $is): void
    {
        self::assertSame($is, Excerpt::of($text, Query::parse($query)));
    }
}
