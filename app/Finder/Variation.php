<?php

declare(strict_types=1);

namespace App\Finder;

use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;

/** One condition over several values, side by side: how many would remain with each in its place. */
final class Variation
{
    private const MOST = 12;

    private const RADII = [10, 25, 50, 100, 200, 400];

    private const DAYS = [7, 14, 30, 60, 90, 180];

    /**
     * @param  string  $lines  values to try, one a line; none: those that suggest themselves
     * @return list<array{step: StepForm, count: int|null}> null: it cannot be used
     */
    public static function of(Search $search, int $i, string $lines): array
    {
        $step = $search->steps[$i];
        $others = $search->withSteps(array_values(array_diff_key($search->steps, [$i => 0])));
        $given = array_slice(
            array_values(
                array_filter(array_map(trim(...), explode("\n", $lines)), fn (string $line): bool => $line !== ''),
            ),
            0,
            self::MOST,
        );
        $steps = match (true) {
            $given !== [] => array_map(fn (string $line): StepForm => self::with($step, $line), $given),
            $step->field === Field::Near => array_map(
                fn (int $km): StepForm => $step->with(['km' => (string) $km]),
                self::RADII,
            ),
            $step->field === Field::Event => array_map(
                fn (int $days): StepForm => $step->with(['lo' => null, 'hi' => (string) $days]),
                self::DAYS,
            ),
            $step->field->isCounted() => array_map(
                fn (string|int $value): StepForm => $step->with(['v' => (string) $value, 'all' => null]),
                array_keys($others->counts($step->field, self::MOST)),
            ),
            default => array_map(
                fn (array $band): StepForm => $step->with([
                    'lo' => $band[0] === null ? null : (string) $band[0],
                    'hi' => $band[1] === null ? null : (string) $band[1],
                    'cur' => null,
                ]),
                Bands::of($step->field),
            ),
        };

        return array_map(function (StepForm $one) use ($others): array {
            $varied = $others->withSteps([...$others->steps, $one->with(['off' => null])]);
            $count = $varied->total();

            return ['step' => $one, 'count' => isset($varied->mistakes[count($others->steps)]) ? null : $count];
        }, $steps);
    }

    /** What can be tried in the place of a step's value. */
    public static function isTyped(StepForm $step): bool
    {
        return in_array(
            $step->field->test(),
            [Comparison::Query, Comparison::Any, Comparison::Range, Comparison::Near],
            true,
        )
            && $step->field !== Field::Spending;
    }

    private static function with(StepForm $step, string $line): StepForm
    {
        [$from, $to] = array_map(trim(...), preg_split('/\s*[–:]\s*|\s+to\s+/u', $line, 2) ?: [$line]) + [1 => ''];

        return $step->with(match ($step->field->test()) {
            Comparison::Query => ['q' => $line],
            Comparison::Near => ['km' => $line],
            Comparison::Range => ['lo' => $from === '' ? null : $from, 'hi' => $to === '' ? null : $to],
            default => ['v' => $line],
        });
    }
}
