<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/**
 * What an account's live signals push for each of its contacts (rule 8): their own, and those that concern their
 * function (an opening in it, its growth, its technology), in full; the account's others half.
 */
final class ContactPush
{
    private float $half = 0.0;

    /** @var array<int|string, float> contact → half the push of their own signals */
    private array $own = [];

    /** @var array<int, float> set of functions → half the push of what concerns them */
    private array $concerning = [];

    /** @var array<int, array<int|string, float>> set of functions → contact → half the push of what is both */
    private array $both = [];

    /**
     * @param  iterable<array{float, int|string|null, int}>  $signals  push, whose own it is, which functions it concerns
     */
    public function __construct(iterable $signals)
    {
        foreach ($signals as [$push, $contact, $functions]) {
            $this->half += $push / 2;
            if ($contact !== null) {
                $this->own[$contact] = ($this->own[$contact] ?? 0.0) + $push / 2;
            }
            if ($functions !== 0) {
                $this->concerning[$functions] = ($this->concerning[$functions] ?? 0.0) + $push / 2;
                if ($contact !== null) {
                    $this->both[$functions][$contact] = ($this->both[$functions][$contact] ?? 0.0) + $push / 2;
                }
            }
        }
    }

    /** @param  int  $functions  of the contact, a set */
    public function on(int|string $contact, int $functions): float
    {
        $push = $this->half + ($this->own[$contact] ?? 0.0);
        foreach ($this->concerning as $set => $half) {
            if (($set & $functions) !== 0) {
                $push += $half - ($this->both[$set][$contact] ?? 0.0);
            }
        }

        return $push;
    }

    public function hasOwn(int|string $contact): bool
    {
        return isset($this->own[$contact]);
    }
}
