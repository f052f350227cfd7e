<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Priority\LookUp;
use Luftig\Core\Priority\LookUps;
use Luftig\Core\Rules\Input;

/** Rule 23. */
final class LookUpsOperation implements Operation
{
    public static function name(): string
    {
        return 'look-ups';
    }

    public static function summary(): string
    {
        return 'Which look-ups pay, within a budget.';
    }

    public static function fields(): array
    {
        return [
            'budget' => 'credits, from 0',
            'candidates[]' => '{id, service, price (credits, above 0), chance 0–1, priority_now 0–100, priority_with '
                .'0–100, share 0–1}',
            'candidates[].priorities[]' => 'of an unknown fact, instead of priority_with: the priority at each value '
                .'that it could have',
            'answer: proposed[]' => '{id, service, gain, per_credit}, of most gain a credit first',
            'answer' => 'expected_gain and cost of all of them',
        ];
    }

    public static function example(): array
    {
        return ['budget' => 3, 'candidates' => [
            [
                'id' => 1, 'service' => 'a', 'price' => 1, 'chance' => .5, 'priority_now' => 40, 'priority_with' => 60,
                'share' => 1,
            ],
            [
                'id' => 2, 'service' => 'a', 'price' => 3, 'chance' => .9, 'priority_now' => 40, 'priority_with' => 60,
                'share' => .5,
            ],
        ]];
    }

    public static function answer(Input $input): array
    {
        $lookUps = LookUps::within(
            $input->number('budget', 0), array_map(self::candidate(...), $input->objects('candidates')),
        );
        $input->done();

        return [
            'proposed' => array_map(static fn (LookUp $one): array => [
                'id' => $one->id, 'service' => $one->service, 'gain' => $one->gain(), 'per_credit' => $one->perCredit(),
            ], $lookUps->proposed),
            'expected_gain' => $lookUps->gain, 'cost' => $lookUps->cost,
        ];
    }

    private static function candidate(Input $input): LookUp
    {
        $of = [
            $input->id('id'), $input->string('service'), $input->number('price'), $input->number('chance', 0, 1),
            $input->number('priority_now', 0, 100),
        ];
        $couldBe = $input->has('priorities') ? $input->numbers('priorities', 0, 100) : [];
        $lookUp = $input->make(static fn (): LookUp => $couldBe === []
            ? new LookUp(...$of, with: $input->number('priority_with', 0, 100), share: $input->number('share', 0, 1))
            : LookUp::ofFact(...$of, couldBe: $couldBe, share: $input->number('share', 0, 1)));
        $input->done();

        return $lookUp;
    }
}
