<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;

/** The lines of an account's points (rule 6), as they are written down; what is not named is worth what is usual. */
final class Lines
{
    /** @throws Mistake naming the line that cannot be used */
    public static function read(Input $input): PointLines
    {
        $usual = new PointLines;
        $lines = $input->make(static fn () => new PointLines(
            $input->optionalNumber('start') ?? $usual->start,
            $input->optionalNumber('fit') ?? $usual->fit,
            $input->optionalNumber('access') ?? $usual->access,
            $input->optionalNumber('fit_above_half') ?? $usual->aboveHalf,
            $input->optionalNumber('reachable') ?? $usual->reachable,
            $input->optionalNumber('whatever_the_fit') ?? $usual->anyway,
        ));
        $input->done();

        return $lines;
    }

    /** @return array<string, float> line → points */
    public static function all(PointLines $of): array
    {
        return [
            'start' => $of->start, 'fit' => $of->fit, 'access' => $of->access, 'fit_above_half' => $of->aboveHalf,
            'reachable' => $of->reachable, 'whatever_the_fit' => $of->anyway,
        ];
    }

    /** @return array<string, float> the lines that are not worth what is usual, as they are read again */
    public static function written(PointLines $lines): array
    {
        return array_diff_assoc(self::all($lines), self::all(new PointLines));
    }
}
