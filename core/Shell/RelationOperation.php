<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Reach\RelationStrength;
use Luftig\Core\Rules\Input;

/** Rule 10, its edges. */
final class RelationOperation implements Operation
{
    public static function name(): string
    {
        return 'relation';
    }

    public static function summary(): string
    {
        return 'How well two people know each other.';
    }

    public static function fields(): array
    {
        return [
            'type' => 'connection, worked_together, studied, association or teammate',
            'exchanges' => 'whole number, optional, for a connection: how often they wrote or spoke',
            'months_since_last' => 'optional, for a connection: months since the last of these',
            'months' => 'for worked_together: how long both were there',
            'headcount' => 'whole number, optional, for worked_together: heads of the company',
            'same_function' => 'true or false, optional, for worked_together',
            'answer: strength' => '0–1',
        ];
    }

    public static function example(): array
    {
        return ['type' => 'worked_together', 'months' => 24, 'headcount' => 300, 'same_function' => true];
    }

    public static function answer(Input $input): array
    {
        $type = $input->string('type');
        $strength = match ($type) {
            'connection' => RelationStrength::ofConnection(
                $input->optionalInteger('exchanges'),
                $input->optionalNumber('months_since_last', 0),
            ),
            'worked_together' => RelationStrength::ofWorkingTogether(
                $input->number('months', 0),
                $input->optionalInteger('headcount'),
                $input->has('same_function') && $input->boolean('same_function'),
            ),
            'studied' => RelationStrength::STUDIED,
            'association' => RelationStrength::ASSOCIATION,
            'teammate' => RelationStrength::TEAMMATE,
            default => throw Mistake::at(
                $input->place('type'),
                "“{$type}” is not one of: connection, worked_together, studied, association, teammate.",
            ),
        };
        $input->done();

        return ['strength' => $strength];
    }
}
