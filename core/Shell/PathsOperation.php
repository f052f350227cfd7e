<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Reach\IntroPath;
use Luftig\Core\Reach\IntroPaths;
use Luftig\Core\Rules\Input;

/** Rule 10, paths. */
final class PathsOperation implements Operation
{
    public static function name(): string
    {
        return 'paths';
    }

    public static function summary(): string
    {
        return 'The strongest ways from one person to another through those who know each other.';
    }

    public static function fields(): array
    {
        return [
            'from, to' => 'people, texts or numbers',
            'edges[]' => '[a, b, strength 0–1]; between the same two they combine',
            'asked' => '{person: times asked in the last 30 days}, optional',
            'most' => 'how many at most (5)',
            'answer: paths[]' => '{people, strength}, the strongest first',
        ];
    }

    public static function example(): array
    {
        return [
            'from' => 'rep', 'to' => 'dst', 'edges' => [
                ['rep', 'ada', .6], ['rep', 'mate', .9], ['mate', 'bo', .7], ['ada', 'dst', .4], ['bo', 'dst', .8],
                ['mate', 'ada', .5],
            ],
        ];
    }

    public static function answer(Input $input): array
    {
        [$from, $to] = [$input->id('from'), $input->id('to')];
        $paths = new IntroPaths;
        foreach ($input->lists('edges') as $i => $edge) {
            [$one, $other, $strength] = [$edge[0] ?? null, $edge[1] ?? null, $edge[2] ?? null];
            $isStrength = (is_int($strength) || is_float($strength)) && $strength >= 0 && $strength <= 1;
            if (! self::isPerson($one) || ! self::isPerson($other) || ! $isStrength || count($edge) !== 3) {
                throw Mistake::at("edges[$i]", 'An edge is two people and a strength from 0 to 1.');
            }
            $paths->add($one, $other, (float) $strength);
        }
        $times = $input->optionalObject('asked');
        $asked = [];
        if ($times !== null) {
            foreach ($times->names() as $person) {
                $asked[$person] = $times->optionalInteger($person) ?? 0;
            }
        }
        $most = $input->optionalInteger('most', 1) ?? IntroPaths::MOST;
        $input->done();

        return ['paths' => array_map(
            static fn (IntroPath $path): array => ['people' => $path->people, 'strength' => $path->strength],
            $paths->between($from, $to, $asked, $most),
        )];
    }

    /** @phpstan-assert-if-true int|string $value */
    private static function isPerson(mixed $value): bool
    {
        return is_int($value) || is_string($value) && $value !== '';
    }
}
