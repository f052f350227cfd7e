<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Kinds;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Pulse;
use Luftig\Core\Signal\Series;
use Luftig\Core\Signal\Signal;
use Luftig\Core\Signal\Timing;
use Luftig\Core\Signal\Weighed;

/** Rules 1 to 3. */
final class TimingOperation implements Operation
{
    public static function name(): string
    {
        return 'timing';
    }

    public static function summary(): string
    {
        return 'What an account’s signals add up to, and by when to act.';
    }

    public static function fields(): array
    {
        return [
            'now' => 'time, ISO 8601 UTC',
            'signals[].id' => 'text or whole number',
            'signals[].kind' => Input::values(Kind::class),
            'signals[].occurred_at' => 'time',
            'signals[].since' => 'time, optional: when a lasting signal began',
            'signals[].strength' => '0–1',
            'signals[].confidence' => '0–1',
            'catalogue.KIND.weight' => '0–1, optional',
            'catalogue.KIND.ramp' => 'days, optional',
            'catalogue.KIND.hold' => 'days, optional',
            'catalogue.KIND.half_life' => 'days above 0, optional',
            'catalogue.KIND.counts' => Input::values(Counts::class).', optional',
        ];
    }

    public static function example(): array
    {
        return ['now' => '2026-11-23T09:00:00Z', 'signals' => [
            [
                'id' => 1, 'kind' => 'funding', 'occurred_at' => '2026-11-17T09:00:00Z', 'strength' => .5,
                'confidence' => 1,
            ],
            [
                'id' => 2, 'kind' => 'hiring', 'occurred_at' => '2026-11-20T09:00:00Z', 'strength' => .75,
                'confidence' => .9,
            ],
        ]];
    }

    public static function answer(Input $input): array
    {
        $now = $input->time('now');
        $catalogue = Kinds::read($input->optionalMap('catalogue'), 'catalogue');
        $signals = array_map(self::signal(...), $input->objects('signals'));
        $input->done();
        $ids = array_map(static fn (Signal $signal): int|string => $signal->id, $signals);
        if (count($ids) !== count(array_unique($ids))) {
            throw Mistake::at('signals', 'Each signal has an id of its own.');
        }

        $series = Series::group($signals);
        $timing = Timing::of($catalogue, $series, $now, history: true);
        $actBy = Pulse::of($catalogue, $series, $now)->actBy();
        $order = array_flip($ids);
        $weighed = $timing->signals;
        usort($weighed, static fn (Weighed $a, Weighed $b): int => $order[$a->id] <=> $order[$b->id]);

        return [
            'timing' => $timing->value(),
            'push' => $timing->push,
            'act_by' => $actBy === null ? null : gmdate('Y-m-d', $actBy * 86400),
            'signals' => array_map(static fn (Weighed $signal): array => [
                'id' => $signal->id,
                'freshness' => $signal->freshness,
                'state' => $signal->stage->value,
                'novelty' => $signal->novelty,
                'push' => $signal->push,
                'share' => $signal->share,
            ], $weighed),
        ];
    }

    private static function signal(Input $input): Signal
    {
        $signal = new Signal(
            $input->id('id'),
            $input->choice('kind', Kind::class),
            $input->time('occurred_at'),
            $input->number('strength', 0, 1),
            $input->number('confidence', 0, 1),
            $input->optionalTime('since'),
        );
        $input->done();

        return $signal;
    }
}
