<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Rules\Input;
use Luftig\Core\Search\SpotCheck;

/** Rule 13. */
final class SpotCheckOperation implements Operation
{
    public static function name(): string
    {
        return 'spot-check';
    }

    public static function summary(): string
    {
        return 'How good a list is, estimated from a judged sample.';
    }

    public static function fields(): array
    {
        return [
            'fits' => 'whole number: how many of those judged fit',
            'judged' => 'whole number',
            'population' => 'whole number: how long the list is',
            'answer: low, high' => 'precision, 0–1, with 95 % confidence',
            'answer: expected' => '[low, high]: how many of the list are good',
            'answer: more' => 'how many more to judge until half the interval is at most 10 points wide',
        ];
    }

    public static function example(): array
    {
        return ['fits' => 17, 'judged' => 20, 'population' => 840];
    }

    public static function answer(Input $input): array
    {
        [$fits, $judged, $population] = array_map(
            static fn (string $field): int => (int) ($input->optionalInteger($field) ?? $input->number($field)),
            ['fits', 'judged', 'population'],
        );
        $input->done();
        $check = SpotCheck::of($fits, $judged, $population);

        return ['low' => $check->low, 'high' => $check->high, 'expected' => $check->expected, 'more' => $check->more];
    }
}
