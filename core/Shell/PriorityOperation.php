<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Priority\Points;
use Luftig\Core\Rules\Input;

/** Rule 6. */
final class PriorityOperation implements Operation
{
    /** No push of signals comes near it. */
    private const LARGEST = 1e9;

    public static function name(): string
    {
        return 'priority';
    }

    public static function summary(): string
    {
        return 'The points of an account, line by line, and its priority.';
    }

    public static function fields(): array
    {
        return ['fit' => '0–1', 'push' => 'number, at most a thousand million either way', 'access' => '0–1'];
    }

    public static function example(): array
    {
        return ['fit' => .8, 'push' => 1.1, 'access' => .5];
    }

    public static function answer(Input $input): array
    {
        $points = Points::of(
            $input->number('fit', 0, 1),
            $input->number('push', -self::LARGEST, self::LARGEST),
            $input->number('access', 0, 1),
        );
        $input->done();

        return [
            'priority' => $points->priority(),
            'points' => $points->total(),
            'lines' => [
                'start' => Points::START, 'fit' => $points->fit, 'push' => $points->push, 'access' => $points->access,
            ],
        ];
    }
}
