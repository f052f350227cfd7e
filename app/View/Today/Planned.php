<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\Contact;
use App\Models\Standing;
use Carbon\CarbonImmutable;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Priority\LeftOut;

/** A day's plan: its approaches in order, and what held the others back. */
final readonly class Planned
{
    public const GROUPS = [
        'hours' => 'Hours count', 'week' => 'This week', 'fortnight' => 'Within two weeks', 'later' => 'Later',
        'waiting' => 'Fits, no occasion yet',
    ];

    /** Of those that were left out, so many of a sort are told. */
    public const SHOWN = 8;

    /**
     * @param  list<PlanRow>  $rows
     * @param  list<array{PlanRow, LeftOut}>  $leftOut
     * @param  list<array{Standing, Skip|null}>  $passed  accounts in which nobody is to be contacted now
     */
    public function __construct(
        private CarbonImmutable $today,
        public array $rows,
        private array $leftOut,
        private array $passed,
    ) {
    }

    /** @return array<string, list<PlanRow>> by group, in the order of GROUPS */
    public function groups(): array
    {
        $groups = array_fill_keys(array_keys(self::GROUPS), []);
        foreach ($this->rows as $row) {
            $groups[$row->group($this->today)][] = $row;
        }

        return array_filter($groups);
    }

    /** @return list<Contact> */
    public function contacts(): array
    {
        return array_values(array_filter(array_map(fn (PlanRow $row): ?Contact => $row->contact, $this->rows)));
    }

    /** @return list<array{account: int, name: string, why: string}> what was left out, and which limit held it back */
    public function leftOut(): array
    {
        $left = array_map(fn (array $one): array => [
            $one[0]->standing, match ($one[1]) {
                LeftOut::WeekFull => 'the week’s pace is used up', LeftOut::DayFull => 'the day is full',
                LeftOut::AccountFull => Skip::AccountFull->label(),
            },
        ], $this->leftOut);
        $passed = array_map(
            fn (array $one): array => [$one[0], $one[1]?->label() ?? 'nobody of those that Today shows'],
            $this->passed,
        );
        $all = [...array_slice($left, 0, self::SHOWN), ...array_slice($passed, 0, self::SHOWN)];

        return array_map(fn (array $one): array => [
            'account' => $one[0]->account_id, 'name' => $one[0]->account->name, 'why' => $one[1],
        ], $all);
    }
}
