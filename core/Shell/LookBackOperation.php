<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Learning\LookBack;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;

/** Rule 22. */
final class LookBackOperation implements Operation
{
    public static function name(): string
    {
        return 'look-back';
    }

    public static function summary(): string
    {
        return 'How well rankings told who would answer.';
    }

    public static function fields(): array
    {
        return [
            'observations[]' => '{at (ISO 8601, UTC), answered (true or false), scores {name: number}}, each with the '
                .'same names',
            'answer' => 'for each name {pairs, concordance, low, high (of 95 %; null: no pair), fifths [{answered, of, '
                .'low, high}], the best ranked first}',
        ];
    }

    public static function example(): array
    {
        return ['observations' => array_map(static fn (int $i): array => [
            'at' => sprintf('2026-11-%02dT09:00:00Z', $i + 1), 'answered' => $i % 3 === 0,
            'scores' => ['ours' => $i % 3 === 0 ? 60 + $i : 40 + $i, 'newest first' => $i],
        ], range(0, 9))];
    }

    public static function answer(Input $input): array
    {
        $observations = [];
        foreach ($input->objects('observations') as $i => $one) {
            $scores = $one->object('scores');
            $known = $one->boolean('answered');
            $at = $one->time('at');
            foreach ($scores->names() as $name) {
                $observations[$name][] = [$at, $known, $scores->number($name)];
                if (count($observations[$name]) !== $i + 1) {
                    throw Mistake::at($scores->place($name), 'Each observation has the same scores.');
                }
            }
            foreach (array_keys($observations) as $name) {
                if (count($observations[$name]) !== $i + 1) {
                    throw Mistake::at($scores->place((string) $name), 'Each observation has the same scores.');
                }
            }
            $one->done();
        }
        $input->done();

        return array_map(static function (array $own): array {
            $back = LookBack::of($own);

            return [
                'pairs' => $back->pairs, 'concordance' => $back->concordance, 'low' => $back->low,
                'high' => $back->high, 'fifths' => array_map(
                    static fn (array $fifth): array => array_diff_key($fifth, ['score' => 0]),
                    $back->fifths,
                ),
            ];
        }, $observations);
    }
}
