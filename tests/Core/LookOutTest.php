<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Outside;
use Luftig\Core\Signal\Headcounts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\TechnologyStance;
use Luftig\Core\Signal\Topic;
use Luftig\Core\Signal\Trend;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\TestCase;

/** What an offer looks out for outside: technologies, topics, trends. */
final class LookOutTest extends TestCase
{
    public function test_a_technology_completes_us_is_replaced_by_us_or_says_nothing(): void
    {
        $stance = new TechnologyStance(['Vedliko Plan'], ['Tryklog']);
        foreach ([
            [Kind::TechAdopted, 'vedliko-plan v2', true], [Kind::TechAdopted, 'Tryklog', false],
            [Kind::TechAdopted, 'Ordvika', false], [Kind::TechDropped, 'TRYKLOG', true],
            [Kind::TechDropped, 'Vedliko Plan', false], [Kind::Funding, 'Vedliko Plan', false],
        ] as [$kind, $name, $counts]) {
            self::assertSame($counts, $stance->counts($kind, $name), "{$kind->value} $name");
        }
        self::assertTrue((new TechnologyStance([], ['Tryklog']))->counts(Kind::TechDropped, 'Tryklog'));
        self::assertFalse((new TechnologyStance([], ['Tryklog']))->counts(Kind::TechAdopted, 'Ordvika'));
        $silent = new TechnologyStance;
        self::assertTrue($silent->counts(Kind::TechAdopted, 'Ordvika'));
        self::assertTrue($silent->counts(Kind::TechDropped, 'Ordvika'));
    }

    public function test_a_post_is_on_the_first_topic_whose_query_finds_it(): void
    {
        $topics = [new Topic('Prices', Query::parse('power price*')), new Topic('Air', Query::parse('air OR leak*'))];
        self::assertSame('Prices', Topic::of('Power prices and leaks', $topics)?->name);
        self::assertSame('Air', Topic::of('A leaking valve', $topics)?->name);
        self::assertNull(Topic::of('A choir sings', $topics));
        self::assertNull(Topic::of('A leaking valve', []));
    }

    public function test_what_is_written_down_is_read_and_a_mistake_is_named(): void
    {
        self::assertTrue(
            Outside::technologies(Input::of(['completes' => ['Skiftara']], 't'))->completes('skiftara'),
        );
        self::assertSame('Air', Outside::topic(Input::of(['name' => 'Air', 'query' => 'air'], 'topics[0]'))->name);
        foreach ([
            'topics[0].query' => ['name' => 'Air', 'query' => ''], 'topics[0].words' => [
                'name' => 'Air', 'query' => 'air', 'words' => 'x',
            ],
        ] as $at => $given) {
            try {
                Outside::topic(Input::of($given, 'topics[0]'));
                self::fail($at);
            } catch (Mistake $mistake) {
                self::assertSame($at, $mistake->at);
            }
        }
    }

    public function test_a_trend_tells_what_is_known_and_guesses_nothing(): void
    {
        $trend = Trend::of(new Headcounts(['2026-05' => 200, '2026-08' => 220, '2026-11' => 231]));
        self::assertSame(231, $trend?->heads);
        self::assertEqualsWithDelta([3 => .05, 6 => .155], $trend?->changes, 1e-12);
        self::assertNull(Trend::of(new Headcounts([])));
    }
}
