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
            $isEdge = count($edge) === 3 && self::isPerson($edge[0]) && self::isPerson($edge[1])
                && (is_int($edge[2]) || is_float($edge[2])) && $edge[2] >= 0 && $edge[2] <= 1;
            if (! $isEdge) {
                throw Mistake::at("edges[$i]", 'An edge is two people and a strength from 0 to 1.');
            }
            $paths->add($edge[0], $edge[1], (float) $edge[2]);
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

    private static function isPerson(mixed $value): bool
    {
        return is_int($value) || is_string($value) && $value !== '';
    }
}
