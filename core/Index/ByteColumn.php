<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/**
 * A whole number at each place, collected byte by byte: the first bytes of all, the second bytes of all, and so on. The
 * sets that are asked for are cut out of these at the end, a million places at a time, which is many times as fast as
 * setting bit after bit.
 */
final class ByteColumn
{
    /** @var list<string> the lowest bytes first */
    private array $planes = [''];

    private int $most = 0;

    /** @param  int  $width  how many places there are at first */
    public function __construct(private int $width)
    {
        $this->planes = [str_repeat("\0", $width)];
    }

    /** @param  int  $number  from 1; 0 is what stands where nothing was put */
    public function put(int $place, int $number): void
    {
        if ($place >= $this->width) {
            $this->widen($place + 1);
        }
        if ($number > $this->most) {
            $this->heighten($number);
        }
        if (! isset($this->planes[1])) {
            $this->planes[0][$place] = chr($number);

            return;
        }
        // By reference, since this is done tens of millions of times.
        foreach ($this->planes as &$plane) {
            $plane[$place] = chr($number & 255);
            $number >>= 8;
        }
    }

    /** @return list<Bitmap> a set for each binary digit, the lowest first */
    public function digits(): array
    {
        $digits = [];
        foreach ($this->planes as $k => $plane) {
            $reversed = strrev($plane);
            for ($digit = 0; $digit < 8 && $this->most >> (8 * $k + $digit) > 0; $digit++) {
                // The bytes from 0 to 255 have the digit in turns of this length.
                $turn = 1 << $digit;
                $digits[] = Bitmap::ofDigits(strtr(
                    $reversed,
                    self::bytes(),
                    str_repeat(str_repeat('0', $turn).str_repeat('1', $turn), 128 >> $digit),
                ));
            }
        }

        return $digits;
    }

    /**
     * Where each number below 256 stands.
     *
     * @return array<int, Bitmap> number → places
     */
    public function places(): array
    {
        $reversed = strrev($this->planes[0]);
        $places = [];
        for ($number = 1; $number <= min(255, $this->most); $number++) {
            $places[$number] = Bitmap::ofDigits(
                strtr($reversed, self::bytes(), str_repeat('0', $number).'1'.str_repeat('0', 255 - $number)),
            );
        }

        return $places;
    }

    /** The numbers below 256, a byte each. */
    public function lowest(): string
    {
        return $this->planes[0];
    }

    /** All bytes, from 0 to 255. */
    private static function bytes(): string
    {
        static $bytes = null;

        return $bytes ??= implode('', array_map(chr(...), range(0, 255)));
    }

    private function widen(int $width): void
    {
        $this->width = max($width, 2 * $this->width);
        foreach ($this->planes as $k => $plane) {
            $this->planes[$k] = str_pad($plane, $this->width, "\0");
        }
    }

    private function heighten(int $number): void
    {
        $this->most = $number;
        while ($number >> 8 * count($this->planes) > 0) {
            $this->planes[] = str_repeat("\0", $this->width);
        }
    }
}
