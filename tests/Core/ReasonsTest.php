<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Priority\DayPlan;
use Luftig\Core\Priority\LeftOut;
use Luftig\Core\Priority\PlanCandidate;
use Luftig\Core\Reason\Angle;
use Luftig\Core\Reason\AngleContact;
use Luftig\Core\Reason\AnglePart;
use Luftig\Core\Reason\AngleSignal;
use Luftig\Core\Reason\Holding;
use Luftig\Core\Reason\Likeness;
use Luftig\Core\Reason\Template;
use Luftig\Core\Reason\Words;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rules 18 and 21: the day's plan, angles, stories, drafts. */
final class ReasonsTest extends TestCase
{
    use TestTrait;

    /** A Monday. */
    private const TODAY = 20_780;

    public function test_what_cannot_wait_comes_first_for_a_third_of_the_day_and_then_what_waiting_costs(): void
    {
        $plan = DayPlan::of(self::TODAY, 6, 30, 0, 0, [
            $this->one('steady', 90, 90), $this->one('falls', 70, 10), $this->one('h1', 30, 0, 2),
            $this->one('h2', 40, 0, 3), $this->one('h3', 20, 0, 1), $this->one('late', 60, 0, -1),
            $this->one('far', 50, 50, 30), $this->one('waits', null, null),
        ]);
        // h2 and h1 hurry; then 70 + 30, 90, 60 + 30, and of 50 and 20 + 10 the former.
        self::assertSame(['h2', 'h1', 'falls', 'late', 'steady', 'far'], $plan->taken);
        self::assertSame([['h3', LeftOut::DayFull], ['waits', LeftOut::DayFull]], $plan->leftOut);
    }

    public function test_three_working_days_are_counted_over_a_weekend(): void
    {
        self::assertSame(self::TODAY + 3, DayPlan::workdaysAfter(self::TODAY, 3), 'Monday to Thursday');
        self::assertSame(self::TODAY + 9, DayPlan::workdaysAfter(self::TODAY + 4, 3), 'Friday to Wednesday');
        self::assertSame(self::TODAY + 9, DayPlan::workdaysAfter(self::TODAY + 6, 3), 'Sunday to Wednesday');
    }

    public function test_no_account_gets_more_than_it_may_and_the_week_has_a_limit_too(): void
    {
        $of = fn (string $id, int $approached): PlanCandidate => new PlanCandidate(
            $id, 'one', 50, 50, null, $approached, 2,
        );
        $plan = DayPlan::of(self::TODAY, 20, 100, 0, 0, [$of('a', 1), $of('b', 1), $this->one('c', 10, 10)]);
        self::assertSame([['a', 'c'], [['b', LeftOut::AccountFull]]], [$plan->taken, $plan->leftOut]);
        $plan = DayPlan::of(self::TODAY, 20, 100, 3, 99, [$this->one('x', 9, 9), $this->one('y', 8, 8)]);
        self::assertSame([['x'], [['y', LeftOut::WeekFull]]], [$plan->taken, $plan->leftOut]);
        self::assertSame([], DayPlan::of(self::TODAY, 5, 25, 7, 9, [$this->one('x', 9, 9)])->taken);
        $this->expectException(Mistake::class);
        DayPlan::of(self::TODAY, -1, 5, 0, 0, []);
    }

    public function test_a_plan_keeps_its_limits_whatever_is_asked_of_it(): void
    {
        $this->limitTo(80)->forAll(
            Generators::choose(0, 12),
            Generators::seq(Generators::tuple(
                Generators::choose(0, 100), Generators::choose(0, 100), Generators::choose(-5, 12),
                Generators::choose(1, 4), Generators::choose(0, 3),
            )),
        )->then(function (int $day, array $given): void {
            $candidates = array_map(fn (int $id, array $one): PlanCandidate => new PlanCandidate(
                $id, $one[3], $one[0], $one[1], self::TODAY + $one[2], $one[4] > 2 ? 1 : 0, 2,
            ), array_keys($given), $given);
            $plan = DayPlan::of(self::TODAY, $day, 50, 0, 0, $candidates);
            self::assertLessThanOrEqual($day, count($plan->taken));
            self::assertSame(count($given), count($plan->taken) + count($plan->leftOut));
            self::assertSame($plan->taken, array_unique($plan->taken));
            $of = array_count_values(array_map(fn (int $id): int => (int) $candidates[$id]->account, $plan->taken));
            self::assertLessThanOrEqual(2, max([0, ...$of]));
            if (count($plan->taken) < $day) {
                self::assertSame(
                    [], array_filter($plan->leftOut, fn (array $one): bool => $one[1] !== LeftOut::AccountFull),
                );
            }
        });
    }

    private function one(string $id, ?float $priority, ?float $later, ?int $in = null): PlanCandidate
    {
        return new PlanCandidate($id, $id, $priority, $later, $in === null ? null : self::TODAY + $in, 0, 4);
    }

    public function test_an_angle_holds_where_all_it_needs_does_and_weighs_what_it_rests_on(): void
    {
        $contact = new AngleContact(7, 40.0, [
            $this->signal(1, Kind::Hiring, 'account', .3, 'Maintenance planner sought', 'Planner'),
            $this->signal(2, Kind::Hiring, 'account', .2, 'Utilities engineer sought', 'Utilities'),
            $this->signal(3, Kind::NewLeader, 'own', .5),
            $this->signal(4, Kind::PostEngagement, 'colleague', .4, 'Commented on leaks'),
            $this->signal(5, Kind::Funding, 'account', .9, 'Round B', null, false),
        ], [['technology', 'Vedliko Plan'], ['school', 'Maskinskolen']]);
        $hiring = AnglePart::signal(Kind::Hiring);
        $planner = AnglePart::signal(null, null, null, Query::parse('planner'));
        $utilities = AnglePart::signal(Kind::Hiring, 'account', 'utilities');
        $leader = AnglePart::signal(Kind::NewLeader, 'own');
        $new = AnglePart::fact(AnglePart::NEW, '60');
        $weight = fn (Angle $angle): ?float => $angle->of($contact)?->weight;
        self::assertSame(.3, $weight(new Angle('the one of most push', [$hiring])));
        self::assertEqualsWithDelta(.88, $weight(new Angle('two, and by a tenth more', [$hiring, $leader])), 1e-12);
        self::assertEqualsWithDelta(.2, $weight(new Angle('by its role', [$utilities])), 1e-12);
        self::assertEqualsWithDelta(.33, $weight(new Angle('both rest on one', [$hiring, $planner])), 1e-12);
        self::assertEqualsWithDelta(.55, $weight(new Angle('a fact adds', [$leader], [$new])), 1e-12);
        $vedliko = AnglePart::fact('technology', 'vedliko plan');
        self::assertEqualsWithDelta(.35, $weight(new Angle('of a value', [$hiring], [$vedliko])), 1e-12);
        self::assertSame(.3, $weight(new Angle('not that one', [$hiring], [AnglePart::fact('technology', 'Ordvika')])));
        self::assertNull($weight(new Angle('spent', [AnglePart::signal(Kind::Funding)])));
        self::assertSame(.9, $weight(new Angle('spent all the same', [
            AnglePart::signal(Kind::Funding, live: false),
        ])));
        self::assertNull($weight(new Angle('not their own', [AnglePart::signal(Kind::PostEngagement, 'own')])));
        self::assertNull($weight(new Angle('no longer new', [AnglePart::fact(AnglePart::NEW, '40')])));
        $holding = (new Angle('x', [$planner], [$new, AnglePart::fact('school')]))->of($contact);
        self::assertSame(
            [[1], [['new_in_position', '40'], ['school', 'Maskinskolen']]], [$holding?->restsOn, $holding?->facts],
        );
    }

    public function test_the_heaviest_comes_first_and_what_was_used_rests(): void
    {
        $contact = new AngleContact('ida', null, [
            $this->signal(1, Kind::Hiring, 'account', .3), $this->signal(2, Kind::NewLeader, 'own', .2),
        ]);
        $angles = [
            new Angle('hiring', [AnglePart::signal(Kind::Hiring)]),
            new Angle('leader', [AnglePart::signal(Kind::NewLeader)]),
            new Angle('both', [AnglePart::signal(Kind::Hiring), AnglePart::signal(Kind::NewLeader)]),
        ];
        $ids = fn (array $used): array => array_map(
            fn (Holding $one): int|string => $one->angle, Angle::holding($angles, $contact, $used),
        );
        self::assertSame(['both', 'hiring', 'leader'], $ids([]));
        self::assertSame(['hiring', 'leader'], $ids([['both', 'ida', 89.0]]));
        self::assertSame(['both', 'hiring', 'leader'], $ids([['both', 'ida', 90.0], ['hiring', 'olav', 14.0]]));
        self::assertSame(['both', 'leader'], $ids([['hiring', 'olav', 13.9]]));
    }

    public function test_an_angle_that_rests_on_nothing_and_parts_that_say_nothing_are_refused(): void
    {
        foreach ([
            fn () => new Angle(1, []), fn () => AnglePart::signal(null), fn () => AnglePart::signal(null, 'own'),
            fn () => AnglePart::signal(Kind::News, 'theirs'), fn () => AnglePart::fact(AnglePart::NEW),
        ] as $make) {
            try {
                $make();
                self::fail('It was taken.');
            } catch (Mistake $mistake) {
                self::assertNotSame('', $mistake->getMessage());
            }
        }
    }

    private function signal(
        int $id,
        Kind $kind,
        string $whose,
        float $push,
        string $text = '',
        ?string $role = null,
        bool $live = true,
    ): AngleSignal {
        return new AngleSignal($id, $kind, $whose, $text, $role, $live, $push);
    }

    public function test_a_story_is_like_an_account_by_trade_size_country_and_technology(): void
    {
        $glass = new Likeness(['2310'], 400, 'DK', ['Tryklog']);
        foreach ([
            'the same' => [new Likeness(['2310'], 400, 'dk', ['tryklog 2']), 1.0],
            'in one division' => [new Likeness(['2394'], 400, 'DK', []), .5 * .5 + .25 + .15],
            'in one section' => [new Likeness(['1010'], 400, 'DK', []), .5 * .25 + .25 + .15],
            'of another trade' => [new Likeness(['6201'], 400, 'DK', []), .4],
            'a tenth of the size' => [new Likeness(['2310'], 40, 'DK', []), .65],
            'half of that in tens' => [new Likeness(['2310'], 126, 'SE', []), .5 + .25 * (1 - log10(400 / 126))],
            'by a side industry' => [new Likeness(['6201', '2310'], 4, 'SE', []), .5],
            'of which nothing is known' => [new Likeness([], null, null, []), .45],
        ] as $what => [$other, $likeness]) {
            self::assertEqualsWithDelta($likeness, $glass->to($other), 1e-12, $what);
            self::assertEqualsWithDelta($likeness, $other->to($glass), 1e-12, "$what, the other way round");
        }
    }

    public function test_slots_are_filled_parts_shown_where_they_are_and_the_rest_is_said(): void
    {
        $fill = fn (string $template, array $slots = []): array => Template::of($template)->fill($slots);
        self::assertSame(['Hello Ida, a planner.', []], $fill('Hello {{ name }}, a {{role}}.', [
            'name' => ' Ida', 'role' => 'planner',
        ]));
        self::assertSame(['Hello [name].', ['name']], $fill('Hello {{name}}.', ['name' => ' ']));
        self::assertSame(['A. B', []], $fill('A{{#x}} and {{x}}{{/x}}. B'));
        self::assertSame(['A and 5. B', []], $fill('A{{#x}} and {{x}}{{/x}}. B', ['x' => '5']));
        self::assertSame(['none', []], $fill('{{^x}}none{{/x}}{{#x}}some{{/x}}'));
        self::assertSame(['in out', []], $fill('{{#a}}in{{#b}} deep {{c}}{{/b}} out{{/a}}', ['a' => '1']));
        self::assertSame(['At Folie B.V. Until … then', []], $fill('At {{x}}. Until … then', ['x' => 'Folie B.V.']));
        self::assertSame(['Wait... then.', []], $fill('Wait... then{{#x}}, {{x}}{{/x}}.'));
        self::assertSame(["A\n\nB <&> é", []], $fill("A  \n{{#x}}y{{/x}}\n\n\nB {{l}} é", ['l' => '<&>']));
        foreach (['{{#a}}', '{{/a}}', '{{#a}}{{/b}}', '{{a b}}', 'x }} y', '{{#a}}{{#b}}{{/a}}{{/b}}'] as $wrong) {
            try {
                Template::of($wrong);
                self::fail("$wrong was taken.");
            } catch (Mistake $mistake) {
                self::assertSame('template', $mistake->at);
            }
        }
    }

    public function test_whatever_the_slots_hold_they_come_as_they_are_and_no_braces_are_left(): void
    {
        $this->limitTo(60)->forAll(
            Generators::seq(Generators::elements('a', 'b', 'c')),
            Generators::seq(Generators::elements('a', 'b', 'c')),
        )->then(function (array $used, array $filled): void {
            $slots = array_fill_keys($filled, 'Åsa');
            $template = '';
            foreach ($used as $i => $name) {
                $template .= $i % 2 === 0 ? "<{{{$name}}}>" : "{{#$name}}({{{$name}}}){{/$name}}{{^$name}}-{{/$name}}";
            }
            [$text, $lacking] = Template::of($template)->fill($slots);
            $expected = '';
            $missing = [];
            foreach ($used as $i => $name) {
                $has = in_array($name, $filled, true);
                $expected .= $i % 2 === 0 ? ($has ? '<Åsa>' : "<[$name]>") : ($has ? '(Åsa)' : '-');
                $i % 2 === 0 && ! $has && $missing[$name] = $name;
            }
            self::assertSame([$expected, array_values($missing)], [$text, $lacking]);
        });
    }

    /** @return array<string, array{string, string, int, int|null, bool}> */
    public static function drafts(): array
    {
        return [
            'a comment that fits' => ['comment', str_repeat('a', 280), 280, 280, true],
            'one that does not' => ['comment', str_repeat('a', 281), 281, 280, false],
            'a message' => ['message', str_repeat('å', 600), 600, 600, true],
            'a mail' => ['email', "Subject: one two three\n\n".str_repeat('word ', 120), 120, 120, true],
            'a long mail' => ['email', str_repeat('word ', 121), 121, 120, false],
            'a long subject' => ['email', "Subject: a b c d e f g h\n\nHello", 1, 120, false],
            'a letter' => ['letter', str_repeat('word ', 200), 200, 200, true],
            'an open slot' => ['connect', 'Hello {{x}}', 9, 280, false],
            'a call' => ['call', "- one\n- two\n- three\nHow do you know?", 3, 3, true],
            'a call of four points' => ['call', "- one\n- two\n- three\n- four\nHow?", 4, 3, false],
            'a call without a question' => ['call', "- one\n", 1, 3, false],
            'a call of two questions' => ['call', "- one?\nHow?", 1, 3, false],
        ];
    }

    #[DataProvider('drafts')]
    public function test_words_fit_their_kind(string $kind, string $text, int $length, ?int $limit, bool $fits): void
    {
        $words = Words::of($kind, $text, []);
        self::assertSame([$length, $limit, $fits], [$words->length, $words->limit, $words->fits]);
    }

    public function test_it_is_said_how_words_read(): void
    {
        $words = Words::of('email', "Subject: A question\n\nHow often do you look? Forty leaks were there.", []);
        self::assertSame('A question', $words->subject);
        self::assertSame(['words' => 9, 'questions' => 1, 'seconds' => 3], $words->reads());
    }
}
