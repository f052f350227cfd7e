<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/**
 * What an account's live signals push for each of its contacts (rule 8): their own, and those that concern their
 * function (an opening in it, its growth, its technology), in full; the account's others half; somebody else's
 * engagement a quarter.
 */
final class ContactPush
{
    private const OTHERS = .5;

    private const ENGAGEMENT = .25;

    /** What the signals push for somebody whom none of them is about. */
    private float $rest = 0.0;

    /** @var array<int|string, float> contact → push of their own signals */
    private array $own = [];

    /** @var array<int|string, float> contact → what their own signals push beyond what they push for others */
    private array $more = [];

    /** @var array<int, float> set of functions → what concerns them pushes beyond what it pushes for others */
    private array $concerning = [];

    /** @var array<int, array<int|string, float>> set of functions → contact → of that, what is their own */
    private array $both = [];

    /**
     * @param  iterable<array{0: float, 1: int|string|null, 2: int, 3?: bool}>  $signals  push, whose own it is, which
     *     functions it concerns, whether it is an engagement
     */
    public function __construct(iterable $signals)
    {
        foreach ($signals as $signal) {
            [$push, $contact, $functions] = $signal;
            $isEngagement = $contact !== null && ($signal[3] ?? false);
            $share = $isEngagement ? self::ENGAGEMENT : self::OTHERS;
            $this->rest += $share * $push;
            if ($contact !== null) {
                $this->own[$contact] = ($this->own[$contact] ?? 0.0) + $push;
                $this->more[$contact] = ($this->more[$contact] ?? 0.0) + (1 - $share) * $push;
            }
            if ($functions !== 0 && ! $isEngagement) {
                $this->concerning[$functions] = ($this->concerning[$functions] ?? 0.0) + (1 - $share) * $push;
                if ($contact !== null) {
                    $this->both[$functions][$contact] = ($this->both[$functions][$contact] ?? 0.0)
                        + (1 - $share) * $push;
                }
            }
        }
    }

    /** @param  int  $functions  of the contact, a set */
    public function on(int|string $contact, int $functions): float
    {
        $push = $this->rest + ($this->more[$contact] ?? 0.0);
        foreach ($this->concerning as $set => $more) {
            if (($set & $functions) !== 0) {
                $push += $more - ($this->both[$set][$contact] ?? 0.0);
            }
        }

        return $push;
    }

    /** The part of it that is from their own signals. */
    public function own(int|string $contact): float
    {
        return $this->own[$contact] ?? 0.0;
    }

    public function hasOwn(int|string $contact): bool
    {
        return isset($this->own[$contact]);
    }
}
