<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Company\Fingerprints;
use Luftig\Core\Company\PageTraces;
use Luftig\Core\Company\Shown;
use Luftig\Core\Mistake;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** By what technologies are known on a page (rule 24). */
final class FingerprintsTest extends TestCase
{
    private const ALL = [
        ['name' => 'Vedliko Plan', 'group' => 'Vedliko', 'script' => ['vedliko.example/plan', 'plan-lib.js'],
            'cookie' => ['vedliko_session'], 'text' => ['Vedliko Plan']],
        ['name' => 'Ordvika', 'header' => ['X-Powered-By: Ordvika', 'x-ordvika'], 'meta' => ['generator: ordvika']],
    ];

    /** @return array<string, array{PageTraces, list<array{string, Shown}>}> */
    public static function pages(): array
    {
        return [
            'nothing' => [new PageTraces, []],
            'a script of a neighbour' => [new PageTraces(['https://cdn.example/vedliko/plan/4.js']), []],
            'a script from a machine of theirs' => [
                new PageTraces(['https://cdn.VEDLIKO.example/plan/4.js']), [['Vedliko Plan', Shown::Script]],
            ],
            'a script of its own' => [
                new PageTraces(['//vedliko.example/plan.js?v=3']), [['Vedliko Plan', Shown::Script]],
            ],
            'another script of its own' => [
                new PageTraces(['/lib/Plan-Lib.js']), [['Vedliko Plan', Shown::Script]],
            ],
            'two scripts are one way' => [
                new PageTraces(['/plan-lib.js', 'https://vedliko.example/plan']), [['Vedliko Plan', Shown::Script]],
            ],
            'a cookie and the text' => [
                new PageTraces(cookies: ['a', 'vedliko_session_7'], text: 'We plan with VEDLIKO-PLAN, since 2020.'),
                [['Vedliko Plan', Shown::Cookie], ['Vedliko Plan', Shown::Text]],
            ],
            'a part of a word' => [new PageTraces(text: 'Vedliko Planner'), []],
            'a header with its value' => [
                new PageTraces(headers: ['x-powered-by' => 'ordvika/3']), [['Ordvika', Shown::Header]],
            ],
            'a header with another value' => [new PageTraces(headers: ['x-powered-by' => 'other']), []],
            'a header whatever its value' => [
                new PageTraces(headers: ['x-ordvika' => '']), [['Ordvika', Shown::Header]],
            ],
            'a meta tag' => [new PageTraces(metas: ['generator' => 'Ordvika 3.1']), [['Ordvika', Shown::Meta]]],
            'several' => [
                new PageTraces(['/plan-lib.js'], [], ['generator' => 'Ordvika']),
                [['Vedliko Plan', Shown::Script], ['Ordvika', Shown::Meta]],
            ],
        ];
    }

    /** @param  list<array{string, Shown}>  $found */
    #[DataProvider('pages')]
    public function test_a_technology_is_known_by_what_it_leaves(PageTraces $page, array $found): void
    {
        self::assertSame($found, Fingerprints::of(self::ALL)->found($page));
    }

    public function test_variants_count_as_their_group(): void
    {
        self::assertSame(['Vedliko Plan' => 'Vedliko'], Fingerprints::of(self::ALL)->groups());
        self::assertSame([], Fingerprints::of([])->groups());
    }

    public function test_what_a_team_writes_wrong_is_said_with_its_place(): void
    {
        foreach ([
            [['x'], '[0].name'], [[['script' => ['abc']]], '[0].name'], [[['name' => ' ']], '[0].name'],
            [[self::ALL[0], ['name' => 'X']], '[1]'], [[['name' => 'X', 'script' => ['ab']]], '[0].script'],
            [[['name' => 'X', 'meta' => 'generator']], '[0].meta'], [[['name' => 'X', 'text' => [7]]], '[0].text'],
        ] as [$data, $at]) {
            try {
                Fingerprints::of($data);
                self::fail("What is wrong at $at was taken.");
            } catch (Mistake $mistake) {
                self::assertSame($at, $mistake->at);
            }
        }
    }
}
