<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Reach\LocalHour;
use Luftig\Core\Reach\NextStep;
use Luftig\Core\Reach\NextSteps;
use Luftig\Core\Reach\Step;
use Luftig\Core\Rules\Input;

/** Rule 18: by which channel, at this hour. */
final class StepsOperation implements Operation
{
    public static function name(): string
    {
        return 'steps';
    }

    public static function summary(): string
    {
        return 'What to do first to reach a contact at this hour, and what then.';
    }

    public static function fields(): array
    {
        return array_diff_key(AccessOperation::fields(), ['intro' => 0]) + [
            'intro' => '0–1, optional: strength of the best path through somebody who can be asked',
            'fresh_post' => 'true where something they wrote is fresh',
            'connected' => 'true where the one who approaches is in touch with them',
            'weekday, minute' => '1 (Monday) to 7, and 0–1,439, where they work; optional together',
            'record' => '{kind: [answered, made]}, optional; kinds: '.Input::values(Step::class),
            'done[]' => 'kinds that are not to be done again now, optional',
            'answer' => '[{step, worth, now}], the first first',
        ];
    }

    public static function example(): array
    {
        return [
            'channels' => [['type' => 'email', 'state' => 'valid'], ['type' => 'direct_phone']],
            'weekday' => 2, 'minute' => 720, 'record' => ['email' => [3, 60], 'call' => [9, 60]],
        ];
    }

    public static function answer(Input $input): array
    {
        [$weekday, $minute] = [$input->optionalInteger('weekday'), $input->optionalInteger('minute')];
        if (($weekday === null) !== ($minute === null)) {
            throw Mistake::at('weekday', 'A day of the week and a minute of the day come together.');
        }
        $steps = NextSteps::of(
            AccessOperation::channels($input),
            $input->optionalNumber('intro', 0, 1) ?? 0.0,
            $input->boolean('fresh_post'),
            $input->boolean('connected'),
            $weekday === null || $minute === null ? null : new LocalHour($weekday, $minute),
            $input->has('record') ? self::record($input->object('record')) : [],
            $input->has('done') ? array_map(self::step(...), $input->strings('done')) : [],
        );
        $input->done();

        return array_map(static fn (NextStep $one): array => [
            'step' => $one->step->value, 'worth' => $one->worth, 'now' => $one->isNow,
        ], $steps->steps);
    }

    /** @return array<string, array{int, int}> */
    private static function record(Input $of): array
    {
        $record = [];
        foreach (Step::cases() as $step) {
            if ($of->has($step->value)) {
                [$answered, $made] = $of->pair($step->value);
                if ($answered === null || $made === null || $answered < 0 || $answered > $made) {
                    throw Mistake::at($step->value, 'A record is how many were answered, of how many.');
                }
                $record[$step->value] = [(int) $answered, (int) $made];
            }
        }
        $of->done();

        return $record;
    }

    private static function step(string $name): Step
    {
        return Step::tryFrom($name) ?? throw Mistake::at('done', "There is no kind of approach “{$name}”.");
    }
}
