<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\Line;
use Luftig\Core\Learning\Observation;
use Luftig\Core\Rules\Input;

/** Rule 20. */
final class LearnOperation implements Operation
{
    public static function name(): string
    {
        return 'learn';
    }

    public static function summary(): string
    {
        return 'The points that results speak for, each with an interval.';
    }

    public static function fields(): array
    {
        return [
            'points' => '{fit, access, kinds {kind: points}}: those in force',
            'observations[]' => '{answered (true or false), fit 0–1, access 0–1, kinds {kind: x}}; x = '
                .'Σ q·c·f·novelty·0.5^n at the time of contact, of drags below 0',
            'weights' => '{kind: w}; may be absent: the points of a kind by those of fit',
            'answer: points' => 'as given, each {before, after, low, high}; of 90 %',
            'answer: shape' => '{fit_above_half, reachable, whatever_the_fit}, each {before, after, low, high}; null '
                .'where they were not chosen',
            'answer: intercept, width, evidence' => 'of the model that was chosen; null where results are too few',
            'answer: tried[]' => '{width, shape (true or false), evidence}',
            'answer: enough' => 'whether there are 15 results of either sort',
        ];
    }

    public static function example(): array
    {
        $observations = [];
        for ($i = 0; $i < 32; $i++) {
            $observations[] = [
                'answered' => $i % 2 === 0, 'fit' => .5 + $i % 3 / 10, 'access' => .5,
                'kinds' => ['new_leader' => $i % 2 === 0 ? .8 : .1],
            ];
        }

        return [
            'points' => ['fit' => 25, 'access' => 12, 'kinds' => ['new_leader' => 13.75]],
            'observations' => $observations,
        ];
    }

    public static function answer(Input $input): array
    {
        $points = $input->object('points');
        [$fit, $access] = [$points->number('fit'), $points->number('access')];
        $kinds = self::numbers($points->object('kinds'));
        $points->done();
        $observations = array_map(self::observation(...), $input->objects('observations'));
        $weights = $input->optionalObject('weights');
        $learned = Learned::from(
            $fit, $access, $kinds, $observations, $weights === null ? null : self::numbers($weights),
        );
        $input->done();

        return [
            'points' => [
                'fit' => self::line($learned->fit), 'access' => self::line($learned->access),
                'kinds' => (object) array_map(self::line(...), $learned->kinds),
            ],
            'shape' => $learned->shape === null ? null : array_combine(
                ['fit_above_half', 'reachable', 'whatever_the_fit'],
                array_map(self::line(...), $learned->shape),
            ),
            'intercept' => $learned->intercept, 'width' => $learned->width, 'evidence' => $learned->evidence,
            'tried' => $learned->tried, 'enough' => $learned->isEnough,
        ];
    }

    private static function observation(Input $input): Observation
    {
        $observation = new Observation(
            $input->boolean('answered'),
            $input->number('fit', 0, 1),
            $input->number('access', 0, 1),
            self::numbers($input->object('kinds')),
        );
        $input->done();

        return $observation;
    }

    /** @return array<string, float> */
    private static function numbers(Input $input): array
    {
        $numbers = [];
        foreach ($input->names() as $name) {
            $numbers[$name] = $input->number($name);
        }
        $input->done();

        return $numbers;
    }

    /** @return array<string, float> */
    private static function line(Line $line): array
    {
        return ['before' => $line->before, 'after' => $line->after, 'low' => $line->low, 'high' => $line->high];
    }
}
