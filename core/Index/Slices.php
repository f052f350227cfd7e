<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** Whole numbers of many records, as one set for each binary digit (bit-sliced, O'Neil and Quass 1997). */
final readonly class Slices
{
    /** @param  list<Bitmap>  $digits  the lowest first */
    public function __construct(private array $digits)
    {
    }

    /** Those whose number is at least this much, of those that have one. */
    public function atLeast(int $bound, Bitmap $known): Bitmap
    {
        if ($bound <= 0) {
            return $known;
        }
        if ($bound >> count($this->digits) !== 0) {
            return Bitmap::none();
        }
        $above = Bitmap::none();
        $equal = $known;
        for ($i = count($this->digits) - 1; $i >= 0; $i--) {
            if (($bound >> $i & 1) === 1) {
                $equal = $equal->and($this->digits[$i]);
            } else {
                $above = $above->or($equal->and($this->digits[$i]));
                $equal = $equal->without($this->digits[$i]);
            }
        }

        return $above->or($equal);
    }

    public function between(?int $low, ?int $high, Bitmap $known): Bitmap
    {
        $from = $low === null ? $known : $this->atLeast($low, $known);

        return $high === null ? $from : $from->without($this->atLeast($high + 1, $known));
    }

    /**
     * How often each place of a stretch is in a set, in binary digits.
     *
     * @return list<Bitmap> the lowest digit first
     */
    public static function sums(Bitmap $set, int $width): array
    {
        $digits = [];
        foreach ($set->stretches($width) as $carry) {
            for ($digit = 0; ! $carry->isEmpty(); $digit++) {
                $before = $digits[$digit] ?? Bitmap::none();
                $digits[$digit] = $before->or($carry)->without($before->and($carry));
                $carry = $before->and($carry);
            }
        }

        return array_values($digits);
    }
}
