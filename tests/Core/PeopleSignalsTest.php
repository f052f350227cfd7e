<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Buying\PeopleSignal;
use Luftig\Core\Buying\PeopleSignals;
use Luftig\Core\Person\Arrival;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\TestCase;

/** What follows from positions (rule 2). */
final class PeopleSignalsTest extends TestCase
{
    private const HERE = 1;

    private const CUSTOMER = 2;

    public function test_joined_promoted_moved_and_new_are_told_apart(): void
    {
        $now = $this->position('Head of Maintenance', 1000);

        self::assertSame(Arrival::Unknown, Career::at(self::HERE, [$now])->arrival());
        self::assertSame(
            Arrival::Joined,
            Career::at(self::HERE, [$now, $this->position('Maintenance Manager', 100, 990, 9)])->arrival(),
        );
        self::assertSame(
            Arrival::Promoted,
            Career::at(self::HERE, [$this->position('Maintenance Manager', 100, 995), $now])->arrival(),
        );
        self::assertSame(
            Arrival::Moved,
            Career::at(self::HERE, [$now, $this->position('Head of Quality', 100, 995)])->arrival(),
        );
        self::assertSame(
            Arrival::Joined,
            Career::at(self::HERE, [$now, $this->position('Maintenance Manager', 100, 500)])->arrival(),
            'back after a long while',
        );
        self::assertSame(
            100,
            Career::at(self::HERE, [$now, $this->position('Maintenance Manager', 100, 995)])->atAccountSince(),
        );
    }

    public function test_a_career_is_told_to_the_day_whatever_is_unknown_of_it(): void
    {
        $at = fn (PositionHeld ...$positions): Career => Career::at(self::HERE, $positions);
        $head = $this->position('Head of Maintenance', 1000);
        $since = fn (?int $until): array => [
            $at($head, $this->position('Maintenance Planner', 100, $until))->arrival(),
            $at($head, $this->position('Maintenance Planner', 100, $until))->atAccountSince(),
        ];
        self::assertSame(
            [[Arrival::Promoted, 100], [Arrival::Joined, 1000], [Arrival::Promoted, 100]],
            array_map($since, [820, 819, null]),
            'half a year away is back from elsewhere',
        );
        self::assertSame(
            [Arrival::Unknown, null],
            [$at($this->position('Planner', 1, 900))->arrival(), $at($this->position('Planner', 1, 900))->now],
        );
        self::assertSame(
            ['Head of Maintenance', ['Maintenance Planner', 'Fitter']],
            [
                $at($this->position('Fitter', 100), $head, $this->position('Maintenance Planner', 500))->now?->text,
                array_column(
                    $at($this->position('Fitter', 100), $head, $this->position('Maintenance Planner', 500))->earlier,
                    'text',
                ),
            ],
            'of several that are not over the latest is the present one',
        );
        self::assertSame(
            ['Fitter', 'Planner'],
            array_column(
                $at(
                    $head,
                    $this->position('Planner', null, 300, 9),
                    $this->position('Fitter', 350, null, 8),
                    $this->position('Buyer', 1000, null, 7),
                )->earlier,
                'text',
            ),
            'the latest first; what began with the present one is not earlier',
        );
        self::assertSame(
            'Planner',
            $at($this->position('Planner', null), $this->position('Fitter', 100, 200))->now?->text,
            'since when is not known',
        );
        self::assertSame(
            [1000, 100],
            [
                $at($head, $this->position('Planner', null, 900))->atAccountSince(),
                $at($head, $this->position('Maintenance Planner', 500, 990), $this->position('Fitter', 100, 490))
                    ->atAccountSince(),
            ],
            'through positions that follow each other',
        );
        self::assertNull($at($this->position('Planner', null))->atAccountSince());
    }

    public function test_signals_follow_the_positions(): void
    {
        $elsewhere = $this->position('Maintenance Manager', 100, 990, 9);

        self::assertEquals(
            [['new_leader', 1000, .75]],
            $this->signals($this->position('Head of Maintenance', 1000), $elsewhere),
        );
        self::assertEquals([['promotion', 1000, .75]], $this->signals(
            $this->position('Head of Maintenance', 1000),
            $this->position('Maintenance Planner', 100, 999),
        ));
        self::assertEquals(
            [['promotion', 1000, .5]],
            $this->signals($this->position('Maintenance Manager', 1000), $this->position('Quality Manager', 100, 999)),
            'into a buyer role',
        );
        self::assertEquals(
            [],
            $this->signals(
                $this->position('Maintenance Manager', 1000),
                $this->position('Maintenance Supervisor', 100, 999),
            ),
            'sideways is no news',
        );
        self::assertEquals([['leadership_change', 1000, 1]], $this->signals($this->position('CFO', 1000), $elsewhere));
        self::assertEquals([], $this->signals($this->position('Marketing Manager', 1000), $elsewhere));
        self::assertEquals([], $this->signals($this->position('Head of Maintenance', 1000)), 'nobody knows where from');
        self::assertEquals(
            [],
            $this->signals($this->position('Head of Maintenance', null), $elsewhere),
            'nor since when',
        );
        self::assertEquals([], $this->signals($this->position('Former Head of Maintenance', 1000), $elsewhere));
    }

    public function test_somebody_came_from_a_customer_while_it_was_one(): void
    {
        $came = fn (
            ?int $since,
            ?int $until,
            string $title = 'Head of Maintenance',
        ): array => array_values(array_filter(
            $this->signals($this->position($title, 1000), $this->position('Planner', $since, $until, self::CUSTOMER)),
            fn (array $signal): bool => $signal[0] === 'customer_alum',
        ));

        self::assertEquals([['customer_alum', 1000, 1]], $came(100, 990));
        self::assertEquals([['customer_alum', 1000, .5]], $came(100, 990, 'Controller'));
        self::assertEquals([['customer_alum', 1000, 1]], $came(null, 700));
        self::assertSame([[], [], []], [$came(100, 400), $came(960, 990), $came(null, null)]);

        $byName = (new PeopleSignals([$this->role()], [self::CUSTOMER => [[500, 900]]]))->of(
            Career::at(self::HERE, [
                $this->position('Controller', 1000),
                new PositionHeld(self::CUSTOMER, '', TitleReader::standard()->read('Planner'), 100, 990, byName: true),
            ]),
            null,
            420,
            .9,
        );
        self::assertSame(.6, $byName[0]->confidence);
    }

    public function test_it_stands_to_the_day_and_says_from_which_position(): void
    {
        $of = fn (array $positions, ?int $heads = 420, float $confidence = .8): array => (
            new PeopleSignals([$this->role()], [self::CUSTOMER => [[500, 900]], 3 => [[null, null]]])
        )
            ->of(Career::at(self::HERE, $positions), null, $heads, $confidence);
        $kinds = fn (array $positions, ?int $heads = 420): array => array_map(
            fn (PeopleSignal $signal): string => $signal->kind->value,
            $of($positions, $heads),
        );
        $now = $this->position('Controller', 1000);

        self::assertSame(
            [['customer_alum'], []],
            [
                $kinds([$now, $this->position('Planner', 100, 500, self::CUSTOMER)]),
                $kinds([$now, $this->position('Planner', 100, 499, self::CUSTOMER)]),
            ],
            'to the day on which it became one',
        );
        self::assertSame(
            [['customer_alum'], []],
            [
                $kinds([$now, $this->position('Planner', 900, 950, self::CUSTOMER)]),
                $kinds([$now, $this->position('Planner', 901, 950, self::CUSTOMER)]),
            ],
            'from the day on which it ceased to be one',
        );
        self::assertSame(
            ['customer_alum'],
            $kinds([$now, $this->position('Planner', 100, 120, 3)]),
            'always a customer',
        );
        self::assertSame(
            [],
            $kinds([$now, new PositionHeld(null, '', TitleReader::standard()->read('Planner'), 100, 990)]),
            'a company that is no account',
        );

        // Directors decide .7 under 50 heads, heads of a function .55.
        self::assertSame([['leadership_change'], []], [
            $kinds([$this->position('Director of Sales', 1000), $this->position('Planner', 100, 990, 9)], 40),
            $kinds([$this->position('Head of Sales', 1000), $this->position('Planner', 100, 990, 9)], 40),
        ]);
        [$joined] = $of([
            $this->position('Head of Maintenance', 1000),
            $this->position('Fitter', 1, 90, 8),
            $this->position('Planner', 100, 990, 9),
        ]);
        self::assertSame([Kind::NewLeader, 1000, .8, 9], [
            $joined->kind, $joined->day, $joined->confidence, $joined->from?->account,
        ]);
        [$risen] = $of([
            $this->position('Head of Maintenance', 1000),
            $this->position('Fitter', 1, 90, 8),
            $this->position('Maintenance Planner', 100, 999),
        ]);
        self::assertSame(
            [Kind::Promotion, self::HERE, 'Maintenance Planner'],
            [$risen->kind, $risen->from?->account, $risen->from?->text],
        );
    }

    public function test_who_left_a_customer_before_it_was_one_is_no_alum_however_late_they_rose_here(): void
    {
        // Since 300 here, at the customer since 100 until nobody knows when; it became one on day 500.
        $rose = fn (int $hereSince): array => $this->signals(
            $this->position('Controller', 1000),
            $this->position('Planner', $hereSince, 999),
            $this->position('Fitter', 100, null, self::CUSTOMER),
        );
        self::assertSame([], $rose(300), 'they were here already when it became a customer');
        self::assertSame([['customer_alum', 600, .5]], $rose(600), 'dated by when they came, not by when they rose');
    }

    public function test_what_a_board_member_of_an_association_was_before_is_read_as_in_an_association(): void
    {
        $chairs = new BuyerRole('Boards', BusinessFunction::Maintenance->bit(), include: Query::parse('board'));
        $of = fn (bool $association): array => array_map(
            fn (PeopleSignal $signal): Kind => $signal->kind,
            (new PeopleSignals([$chairs], []))->of(
                Career::at(self::HERE, [
                    $this->position('Chairwoman of the supervisory board', 1000),
                    $this->position('Board Member', 100, 999),
                ]),
                null,
                40,
                association: $association,
            ),
        );
        self::assertSame([], $of(true), 'sideways within the role is no news');
        self::assertSame([], $of(false), 'elsewhere boards take no part');
    }

    /** @return list<array{string, int, float}> */
    private function signals(PositionHeld ...$positions): array
    {
        $signals = (new PeopleSignals([$this->role()], [self::CUSTOMER => [[500, 900]]]))
            ->of(Career::at(self::HERE, $positions), null, 420);

        return array_map(
            fn (PeopleSignal $signal): array => [$signal->kind->value, $signal->day, $signal->strength],
            array_values(
                array_filter(
                    $signals,
                    fn (PeopleSignal $s): bool => $s->kind !== Kind::NewLeader
                        || $positions[1]->account !== self::CUSTOMER,
                ),
            ),
        );
    }

    private function position(string $title, ?int $since, ?int $until = null, int $account = self::HERE): PositionHeld
    {
        return new PositionHeld($account, $title, TitleReader::standard()->read($title), $since, $until);
    }

    private function role(): BuyerRole
    {
        return new BuyerRole('Maintenance', BusinessFunction::Maintenance->bit());
    }
}
