<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Mistake;

/**
 * What each line of an account's points is worth (rule 6). The first three are set by default; the last three are 0
 * until results speak for them (rule 20).
 */
final readonly class PointLines
{
    /** No line is worth more, either way. */
    public const MOST = 200;

    /** From this access on somebody is reachable (rule 20). */
    public const REACHABLE = .2;

    /**
     * @param  float  $start  points of every account
     * @param  float  $fit  points for a fit of 1
     * @param  float  $access  points for an access of 1
     * @param  float  $aboveHalf  more points for a fit of 1, none up to a fit of .5
     * @param  float  $reachable  points where access is above .2
     * @param  float  $anyway  points for a push of 1, whatever the fit
     *
     * @throws Mistake where a line is beyond 200 points
     */
    public function __construct(
        public float $start = Points::START,
        public float $fit = Points::FIT,
        public float $access = Points::ACCESS,
        public float $aboveHalf = 0.0,
        public float $reachable = 0.0,
        public float $anyway = 0.0,
    ) {
        $lines = [
            'start' => $start, 'fit' => $fit, 'access' => $access, 'fit_above_half' => $aboveHalf,
            'reachable' => $reachable, 'whatever_the_fit' => $anyway,
        ];
        foreach ($lines as $name => $points) {
            if (is_nan($points) || abs($points) > self::MOST) {
                throw Mistake::at($name, 'A line is worth at most '.self::MOST.' points, either way.');
            }
        }
    }

    /** The points that one signal's push adds at a fit; negative for a drag. */
    public function ofPush(float $fit, float $push): float
    {
        return (Points::FIT * $fit + $this->anyway) * $push;
    }
}
