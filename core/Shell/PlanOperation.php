<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Priority\DayPlan;
use Luftig\Core\Priority\PlanCandidate;
use Luftig\Core\Rules\Input;

/** Rule 18. */
final class PlanOperation implements Operation
{
    private const DAY = 86_400;

    public static function name(): string
    {
        return 'plan';
    }

    public static function summary(): string
    {
        return 'Which approaches a day has room for, in which order, and what held the others back.';
    }

    public static function fields(): array
    {
        return [
            'now' => 'ISO 8601, UTC',
            'pace' => '{day, week? (5 · day), used_today?, used_week?}: numbers of approaches',
            'candidates[]' => '{id, account, priority 0–100 or null (its account waits), priority_in_5_days 0–100 or '
                .'null, act_by? (date or null), approached_14d? (of the account, 0), n? (at most at the account, 4)}',
            'answer: taken[]' => 'ids in order',
            'answer: left_out[]' => '{id, why: account_full, day_full or week_full}',
        ];
    }

    public static function example(): array
    {
        return [
            'now' => '2026-11-23T09:00:00Z', 'pace' => ['day' => 2],
            'candidates' => [
                ['id' => 1, 'account' => 'a', 'priority' => 60, 'priority_in_5_days' => 59, 'act_by' => null],
                ['id' => 2, 'account' => 'b', 'priority' => 50, 'priority_in_5_days' => 20, 'act_by' => '2026-11-25'],
                ['id' => 3, 'account' => 'c', 'priority' => 40, 'priority_in_5_days' => 40, 'act_by' => null],
            ],
        ];
    }

    public static function answer(Input $input): array
    {
        $now = $input->time('now');
        $pace = $input->object('pace');
        $day = $pace->optionalInteger('day') ?? throw Mistake::at($pace->place('day'), 'Give the pace of a day.');
        $numbers = [
            $day, $pace->optionalInteger('week') ?? 5 * $day, $pace->optionalInteger('used_today') ?? 0,
            $pace->optionalInteger('used_week') ?? 0,
        ];
        $pace->done();
        $candidates = array_map(self::candidate(...), $input->objects('candidates'));
        $input->done();
        $plan = DayPlan::of((int) floor($now / self::DAY), ...[...$numbers, $candidates]);

        return ['taken' => $plan->taken, 'left_out' => array_map(
            static fn (array $one): array => ['id' => $one[0], 'why' => $one[1]->value],
            $plan->leftOut,
        )];
    }

    private static function candidate(Input $input): PlanCandidate
    {
        $actBy = $input->optionalTime('act_by');
        $candidate = new PlanCandidate(
            $input->id('id'),
            $input->id('account'),
            $input->optionalNumber('priority', 0, 100),
            $input->optionalNumber('priority_in_5_days', 0, 100),
            $actBy === null ? null : (int) floor($actBy / self::DAY),
            $input->optionalInteger('approached_14d') ?? 0,
            $input->optionalInteger('n') ?? 4,
        );
        $input->done();

        return $candidate;
    }
}
