<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Shell\Shell;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every field of every operation changes what is answered, by what the rules say. */
final class ShellFieldsTest extends TestCase
{
    private const FUNDING = ['now' => '2026-11-23T09:00:00Z', 'signals' => [[
        'id' => 1, 'kind' => 'funding', 'occurred_at' => '2026-11-17T09:00:00Z', 'strength' => .5, 'confidence' => 1,
    ]]];

    private const SOUGHT = ['now' => '2026-11-23T09:00:00Z', 'signals' => [[
        'id' => 1, 'kind' => 'hiring', 'occurred_at' => '2026-11-17T09:00:00Z', 'strength' => .5, 'confidence' => 1,
    ]]];

    private const PROFILE = [
        'criteria' => [
            ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2, 'range' => [100, 200]],
            ['name' => 'land', 'field' => 'country', 'mode' => 'prefer', 'any' => ['SE']],
        ],
        'account' => ['headcount' => 100, 'country' => 'DK'],
    ];

    private const HEAD = [
        'headcount' => 300,
        'buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations']]],
        'contacts' => [['id' => 'a', 'title' => 'Head of Maintenance', 'push' => 1, 'access' => .5]],
    ];

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    public static function fields(): iterable
    {
        // Operation, what goes in, which field of it becomes what; what of the answer it changes, from what to what.
        yield 'a query' => ['match', ['query' => 'pump', 'text' => 'a pump'], 'query', 'fan', 'matches', true, false];
        yield 'a text' => ['match', ['query' => 'pump', 'text' => 'a pump'], 'text', 'a fan', 'matches', true, false];
        yield 'a domain' => [
            'domain', ['text' => 'www.firm.example'], 'text', 'anna@gmx.de', 'free_mail', false, true,
        ];
        yield from self::ofTitles();
        yield from self::ofPoints();
        yield from self::ofSignals();
        yield from self::ofFit();
        yield from self::ofPeople();
        yield from self::ofRelations();
        yield from self::ofLists();
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofTitles(): iterable
    {
        $director = ['title' => 'Director', 'country' => 'gb', 'headcount' => 30];
        yield 'a title' => ['title', $director, 'title', 'Clerk', 'seniority', 'owner', 'specialist'];
        yield 'a country' => ['title', $director, 'country', 'SE', 'seniority', 'owner', 'director'];
        yield 'a headcount' => ['title', $director, 'headcount', 400, 'seniority', 'owner', 'director'];
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofPoints(): iterable
    {
        // −40 + 25·.8·(1 + 1.1) + 12·.5
        $points = ['fit' => .8, 'push' => 1.1, 'access' => .5];
        yield 'fit' => ['priority', $points, 'fit', .4, 'points', 8.0, -13.0];
        yield 'push' => ['priority', $points, 'push', 0, 'points', 8.0, -14.0];
        yield 'access' => ['priority', $points, 'access', 0, 'points', 8.0, 2.0];

        // 1 − (1 − .6·.8)(1 − .2), and with a path 1 − .416·(1 − .45)
        $ways = ['intro' => .5, 'channels' => [
            ['type' => 'email', 'state' => 'guess', 'chance' => .8], ['type' => 'social', 'active_days_ago' => 3],
        ]];
        yield 'a type of channel' => ['access', $ways, 'channels.0.type', 'direct_phone', 'channel', .584, .6];
        yield 'a state' => ['access', $ways, 'channels.0.state', 'valid', 'channel', .584, .6704];
        yield 'a chance' => ['access', $ways, 'channels.0.chance', .4, 'channel', .584, .392];
        yield 'when active' => ['access', $ways, 'channels.1.active_days_ago', 31, 'channel', .584, .48];
        yield 'a path' => ['access', $ways, 'intro', 0, 'access', .7712, .584];
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofSignals(): iterable
    {
        $push = 'signals.0.push';
        // 74 days are the hold of 14 and a half-life of 60.
        yield 'now' => ['timing', self::FUNDING, 'now', '2027-01-30T09:00:00Z', $push, .25, .125];
        yield 'an id' => ['timing', self::FUNDING, 'signals.0.id', 'x', 'signals.0.id', 1, 'x'];
        yield 'a kind' => ['timing', self::FUNDING, 'signals.0.kind', 'expansion', $push, .25, .2];
        yield 'when it happened' => [
            'timing', self::FUNDING, 'signals.0.occurred_at', '2026-09-10T09:00:00Z', $push, .25, .125,
        ];
        yield 'a strength' => ['timing', self::FUNDING, 'signals.0.strength', 1, $push, .25, .5];
        yield 'a confidence' => ['timing', self::FUNDING, 'signals.0.confidence', .5, $push, .25, .125];
        // Two whole quarters since the first of May: novelty 1 ÷ (1 + 2/6).
        yield 'since when it lasts' => [
            'timing', self::SOUGHT, 'signals.0.since', '2026-05-01T00:00:00Z', $push, .225, .16875,
        ];
        yield 'a weight' => ['timing', self::FUNDING, 'catalogue.funding.weight', 1, $push, .25, .5];
        yield 'a ramp' => ['timing', self::FUNDING, 'catalogue.funding.ramp', 12, $push, .25, .1625];
        yield 'a hold' => ['timing', self::FUNDING, 'catalogue.funding.hold', 0, $push, .25, .25 * 2 ** -.1];
        $older = ['now' => '2026-12-07T09:00:00Z'] + self::FUNDING;
        yield 'a half-life' => [
            'timing', $older, 'catalogue.funding.half_life', 6, $push, .25 * 2 ** -.1, .125,
        ];
        yield 'what counts' => ['timing', self::FUNDING, 'catalogue.funding.counts', 'against', $push, .25, -.25];
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofFit(): iterable
    {
        $in = self::PROFILE;
        yield 'a name' => ['fit', $in, 'criteria.0.name', 'heads', 'criteria.0.name', 'size', 'heads'];
        yield 'a field' => ['fit', $in, 'criteria.0.field', 'revenue', 'fit', 2 / 3, 1 / 3];
        yield 'a mode' => ['fit', $in, 'criteria.0.mode', 'must', 'fit', 2 / 3, 0.0];
        yield 'the weight of a wish' => ['fit', $in, 'criteria.0.weight', 1, 'fit', 2 / 3, .5];
        yield 'a range' => ['fit', $in, 'criteria.0.range', [200, 400], 'fit', 2 / 3, 0.0];
        yield 'a value' => ['fit', $in, 'criteria.1.any', ['DK'], 'fit', 2 / 3, 1.0];
        yield 'a headcount that is known' => ['fit', $in, 'account.headcount', 50, 'fit', 2 / 3, 0.0];
        yield 'any site' => [
            'fit', ['account' => ['country' => 'DK', 'other_sites' => [['country' => 'SE']]]] + [
                'criteria' => [$in['criteria'][1]],
            ], 'criteria.0.any_site', true, 'fit', 0.0, 1.0,
        ];
        $of = fn (string $field, array $question, array $account): array => [
            'criteria' => [['name' => 'x', 'field' => $field, 'mode' => 'prefer'] + $question], 'account' => $account,
        ];
        $near = $of('place', ['within' => ['km' => 100, 'of' => [57.7, 11.97]]], ['place' => [56.7, 11.97]]);
        yield 'a radius' => ['fit', $near, 'criteria.0.within.km', 200, 'fit', 0.0, 1.0];
        yield 'a centre' => ['fit', $near, 'criteria.0.within.of', [56.8, 11.97], 'fit', 0.0, 1.0];
        yield 'a place' => ['fit', $near, 'account.place', [57.6, 11.97], 'fit', 0.0, 1.0];
        $says = $of('text', ['query' => 'shifts'], ['text' => 'Works in shifts']);
        yield 'words asked for' => ['fit', $says, 'criteria.0.query', 'trading', 'fit', 1.0, 0.0];
        yield 'words they use' => ['fit', $says, 'account.text', 'Trades', 'fit', 1.0, 0.0];
        $own = $of('fact', ['fact' => 'Shifts', 'any' => ['three']], [
            'facts' => ['shifts' => 'Three', 'beds' => '40'],
        ]);
        yield 'a fact of ones own' => ['fit', $own, 'account.facts.shifts', 'two', 'fit', 1.0, 0.0];
        yield 'which fact' => ['fit', $own, 'criteria.0.fact', 'Beds', 'fit', 1.0, 0.0];
        yield 'whatever is known' => ['fit', $own, 'criteria.0.any', ['*'], 'fit', 1.0, 1.0];
        $facts = [
            'revenue' => [['range' => [100, 200]], 100, 50], 'sites' => [['range' => [2, 4]], 2, 1],
            'growth' => [['range' => [.1, null]], .1, 0.0], 'industries' => [['any' => ['C']], ['2310'], ['46']],
            'country' => [['any' => ['SE']], 'se', 'DK'], 'region' => [['any' => ['Skåne']], 'Skane', 'Halland'],
            'postal_code' => [['any' => ['41']], '41103', '21103'],
            'technologies' => [['any' => ['Tryklog']], ['TRYK-log'], ['Ordvika']],
        ];
        foreach ($facts as $field => [$question, $met, $missed]) {
            yield "what is known: $field" => [
                'fit', $of($field, $question, [$field => $met]), "account.$field", $missed, 'fit', 1.0, 0.0,
            ];
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofPeople(): iterable
    {
        // A head at 300: authority .75, accessibility .85.
        $in = self::HEAD;
        $role = sqrt(.75 * .85);
        $usual = self::points($role, 1, .5);
        $priority = 'ranked.0.priority';
        yield 'heads' => ['contacts', $in, 'headcount', 30, $priority, $usual, self::points(sqrt(.55 * .95), 1, .5)];
        $board = ['contacts' => [['title' => 'Member of the Board'] + $in['contacts'][0]]] + $in;
        yield 'an association' => ['contacts', $board, 'association', true, 'ranked.0.id', null, 'a'];
        $at = 'buyer_roles.0';
        yield 'the name of a role' => ['contacts', $in, "$at.name", 'M', 'ranked.0.buyer_role', 'Maintenance', 'M'];
        yield 'functions of a role' => [
            'contacts', $in, "$at.functions", ['finance'], $priority, $usual, self::points(.1 * $role, 1, .5),
        ];
        $beside = ['buyer_roles' => [['functions' => ['finance']] + $in['buyer_roles'][0]]] + $in;
        yield 'functions beside' => [
            'contacts', $beside, "$at.neighbours", ['maintenance'], $priority, self::points(.1 * $role, 1, .5),
            self::points(.4 * $role, 1, .5),
        ];
        yield 'titles in' => [
            'contacts', $beside, "$at.include", '"head of"', $priority, self::points(.1 * $role, 1, .5), $usual,
        ];
        yield 'titles out' => ['contacts', $in, "$at.exclude", 'head', 'skipped.0.why', null, 'not_eligible'];
        yield 'the weight of a role' => [
            'contacts', $in, "$at.weight", .5, $priority, $usual, self::points($role / 2, 1, .5),
        ];
        $danish = ['contacts' => [['country' => 'dk'] + $in['contacts'][0]]] + $beside;
        yield 'titles in one country' => [
            'contacts', $danish, "$at.variants", ['DK' => 'head'], $priority, self::points(.1 * $role, 1, .5), $usual,
        ];
        $one = 'contacts.0';
        yield 'whose id' => ['contacts', $in, "$one.id", 7, 'ranked.0.id', 'a', 7];
        yield 'what they are' => [
            'contacts', $in, "$one.title", 'Maintenance Manager', $priority, $usual,
            self::points(sqrt(.5 * .95), 1, .5),
        ];
        $owner = ['headcount' => 30, 'contacts' => [['title' => 'Director'] + $in['contacts'][0]]] + $in;
        yield 'where they are' => ['contacts', $owner, "$one.country", 'GB', 'ranked.0.part', 'next_door', 'signs_off'];
        yield 'a push' => ['contacts', $in, "$one.push", 0, $priority, $usual, self::points($role, 0, .5)];
        yield 'a push of their own' => [
            'contacts', $beside, "$one.push_own", 1, $priority, self::points(.1 * $role, 1, .5),
            self::points(.1 * $role, 1, .5),
        ];
        $weak = ['buyer_roles' => [['weight' => .1] + $in['buyer_roles'][0]]] + $in;
        yield 'a push of their own where it is theirs to answer' => [
            'contacts', $weak, "$one.push_own", 1, $priority, self::points($role / 10, 1, .5),
            // 25·(.5 − Role) more for a push of 1
            self::points($role / 10, 1, .5, 25 * (.5 - $role / 10)),
        ];
        $two = ['take' => 1, 'contacts' => [
            ['id' => 'a', 'title' => 'Head of Maintenance', 'push' => 1, 'access' => .5],
            ['id' => 'b', 'title' => 'Maintenance Manager', 'push' => 1, 'access' => .5],
        ]] + $in;
        $both = ['take' => 2] + $two;
        yield 'whom it is about' => ['contacts', $both, 'contacts.1.about', true, 'taken.0', 'a', 'b'];
        yield 'how many at most' => ['contacts', $two, 'take', 2, 'taken.1', null, 'b'];
        yield 'how many lately' => ['contacts', $both, 'approached_14d', 1, 'skipped.0.why', null, 'account_full'];
        yield 'how they are reached' => [
            'contacts', $in, "$one.access", 1, $priority, $usual, self::points($role, 1, 1),
        ];
        $unreached = ['contacts' => [['access' => 0] + $in['contacts'][0]]] + $in;
        yield 'a path to them' => ['contacts', $unreached, "$one.intro", .3, 'skipped.0.why', 'no_way', null];
        $user = ['contacts' => [['title' => 'Maintenance Technician'] + $in['contacts'][0]]] + $in;
        yield 'something of theirs' => ['contacts', $user, "$one.live", true, 'ranked.0.part', 'user', 'champion'];
        yield 'when approached' => [
            'contacts', $in, "$one.approached_days_ago", 30, 'skipped.0.why', null, 'approached',
        ];
        foreach (['kept_out' => 'kept_out', 'reserved' => 'reserved', 'held' => 'held'] as $field => $why) {
            yield $field => ['contacts', $in, "$one.$field", true, 'skipped.0.why', null, $why];
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofRelations(): iterable
    {
        $known = ['type' => 'connection', 'exchanges' => 5, 'months_since_last' => 24];
        // .30 + .25·2^−1 + .25·(1 − 2^−1)
        yield 'a type' => ['relation', ['type' => 'studied'], 'type', 'association', 'strength', .25, .1];
        yield 'exchanges' => ['relation', $known, 'exchanges', 10, 'strength', .55, .6125];
        yield 'the last exchange' => ['relation', $known, 'months_since_last', 0, 'strength', .55, .675];
        // .7·(1 − 2^−1) ÷ (1 + log10(100) ÷ 10 ÷ 2) is .35 ÷ 1.5 at a hundred heads: log10(10) is 1.
        $colleagues = ['type' => 'worked_together', 'months' => 18, 'headcount' => 100];
        yield 'months together' => [
            'relation', $colleagues, 'months', 36, 'strength', .35 / 1.5, .525 / 1.5,
        ];
        yield 'heads of the company' => ['relation', $colleagues, 'headcount', 10, 'strength', .35 / 1.5, .35];
        yield 'the same function' => [
            'relation', $colleagues, 'same_function', true, 'strength', .35 / 1.5, 1.25 * .35 / 1.5,
        ];
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, mixed, string, mixed, mixed}> */
    private static function ofLists(): iterable
    {
        $judged = ['fits' => 30, 'judged' => 35, 'population' => 35];
        yield 'how many fit' => ['spot-check', $judged, 'fits', 28, 'low', 30 / 35, .8];
        yield 'how many were judged' => ['spot-check', ['fits' => 0, 'population' => 10, 'judged' => 0], 'judged', 10,
            'high', 1.0, 0.0];
        yield 'how long it is' => [
            'spot-check', ['population' => 840, 'fits' => 0, 'judged' => 0], 'population', 40, 'expected.1', 840.0,
            40.0,
        ];
        $same = ['a' => ['name' => 'Glasverk Tunhede A/S', 'domain' => 'tunhede.example'],
            'b' => ['name' => 'Glasværk Tunhede', 'domain' => 'tunhede.example', 'country' => 'DK']];
        yield 'the domain of the first' => [
            'identity', $same, 'a.domain', 'other.example', 'verdict', 'same', 'separate',
        ];
        $unsure = ['a' => ['name' => 'Glasverk Tunhede'], 'b' => ['name' => 'Glasværk Tunhede', 'country' => 'DK']];
        yield 'the name of the first' => ['identity', $unsure, 'a.name', 'Papir Ask', 'verdict', 'unsure', 'separate'];
        yield 'the country of the first' => ['identity', $unsure, 'a.country', 'SE', 'verdict', 'unsure', 'separate'];
        $towns = ['a' => ['city' => 'Hobro'] + $unsure['a'], 'b' => ['city' => 'Hobro'] + $unsure['b']];
        yield 'the city of the first' => ['identity', $towns, 'a.city', 'Skive', 'because.1', 'Both are in Hobro.',
            'One is in Skive, the other in Hobro.'];
        yield 'the name of the second' => ['identity', $unsure, 'b.name', 'Papir', 'verdict', 'unsure', 'separate'];
        yield 'the domain of the second' => [
            'identity', $same, 'b.domain', 'other.example', 'verdict', 'same', 'separate',
        ];
        $danish = ['a' => ['country' => 'DK'] + $unsure['a'], 'b' => ['city' => 'Hobro'] + $unsure['b']];
        yield 'the country of the second' => ['identity', $danish, 'b.country', 'SE', 'verdict', 'unsure', 'separate'];
        yield 'the city of the second' => ['identity', $towns, 'b.city', 'Skive', 'because.1', 'Both are in Hobro.',
            'One is in Hobro, the other in Skive.'];
    }

    /** Rule 8. */
    private static function points(float $role, float $push, float $access, float $more = 0): float
    {
        return 100 / (1 + exp(-(-30 + 25 * $role * (1 + $push) + 15 * $access + $more) / 10));
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('fields')]
    public function test_a_field_changes_the_answer(
        string $operation,
        array $input,
        string $field,
        mixed $value,
        string $in,
        mixed $before,
        mixed $after,
    ): void {
        $with = $input;
        $at = &$with;
        foreach (explode('.', $field) as $key) {
            $at[$key] ??= [];
            $at = &$at[$key];
        }
        $at = $value;
        unset($at);
        foreach ([[$input, $before], [$with, $after]] as [$asked, $expected]) {
            $answer = self::part($this->ask($operation, $asked), $in);
            is_float($expected)
                ? self::assertEqualsWithDelta($expected, $answer, 1e-9)
                : self::assertSame($expected, $answer);
        }
    }

    public function test_no_field_that_an_operation_tells_of_is_left_out(): void
    {
        $tried = [];
        foreach (self::fields() as [$operation, , $field]) {
            $path = preg_replace(['/\.\d+/', '/^catalogue\.\w+/'], ['[]', 'catalogue.KIND'], $field);
            $tried["$operation $path"] = true;
        }
        $told = [];
        foreach (ShellTest::operations() as [$operation]) {
            [$help] = Shell::run([$operation, '--help'], fn (): string => '');
            preg_match_all('/^  ([a-zA-Z_.\[\], ]+?)\s{2,}/m', strstr($help, 'Example:', true) ?: '', $names);
            foreach ($names[1] as $name) {
                foreach (explode(', ', $name) as $one) {
                    $told[] = "$operation $one";
                }
            }
        }
        $missing = array_filter($told, fn (string $name): bool => array_filter(
            array_keys($tried),
            fn (string $path): bool => str_starts_with($path, $name),
        ) === []);

        self::assertGreaterThan(50, count($told));
        self::assertSame([], array_values($missing));
    }

    /** @param  array<string, mixed>  $input */
    private function ask(string $operation, array $input): mixed
    {
        [$answer, $code] = Shell::run([$operation], fn (): string => json_encode($input, JSON_THROW_ON_ERROR));
        self::assertSame(0, $code, $answer);

        return json_decode($answer, true, flags: JSON_THROW_ON_ERROR);
    }

    private static function part(mixed $answer, string $path): mixed
    {
        foreach (explode('.', $path) as $key) {
            $answer = $answer[$key] ?? null;
        }

        return $answer;
    }
}
