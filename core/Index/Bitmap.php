<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use GMP;

/** A set of positions from 0, held as one large number. */
final readonly class Bitmap
{
    /**
     * Bytes of a word of the machine, by which numbers are read and written some forty times as fast as byte by byte.
     */
    private const WORD = 8;

    /** Bytes that are looked at together. */
    private const BLOCK = 32;

    private function __construct(private GMP $bits)
    {
    }

    public static function none(): self
    {
        return new self(gmp_init(0));
    }

    /** The positions below a number. */
    public static function first(int $count): self
    {
        return new self(gmp_sub(gmp_pow(2, $count), 1));
    }

    /** @param  string  $bytes  the lowest position in the lowest bit of the first byte */
    public static function ofBytes(string $bytes): self
    {
        return new self(
            $bytes === '' ? gmp_init(0) : gmp_import(
                str_pad($bytes, strlen($bytes) + self::WORD - 1 & -self::WORD, "\0"),
                self::WORD,
                GMP_LSW_FIRST | GMP_LITTLE_ENDIAN,
            ),
        );
    }

    /** @param  string  $digits  1 or 0 for each position, the highest first */
    public static function ofDigits(string $digits): self
    {
        return new self($digits === '' ? gmp_init(0) : gmp_init($digits, 2));
    }

    /** @param  iterable<int>  $positions */
    public static function of(iterable $positions): self
    {
        $bytes = [];
        foreach ($positions as $position) {
            $byte = $position >> 3;
            $bytes[$byte] = ($bytes[$byte] ?? 0) | 1 << ($position & 7);
        }
        if ($bytes === []) {
            return self::none();
        }
        $string = str_repeat("\0", max(array_keys($bytes)) + 1);
        foreach ($bytes as $byte => $value) {
            $string[$byte] = chr($value);
        }

        return self::ofBytes($string);
    }

    public function and(self $other): self
    {
        return new self(gmp_and($this->bits, $other->bits));
    }

    public function or(self $other): self
    {
        return new self(gmp_or($this->bits, $other->bits));
    }

    /** What is in this one and not in the other. */
    public function without(self $other): self
    {
        return new self(gmp_xor($this->bits, gmp_and($this->bits, $other->bits)));
    }

    public function count(): int
    {
        return gmp_popcount($this->bits);
    }

    /** How many are in both, without making the set. */
    public function countWith(self $other): int
    {
        return gmp_popcount(gmp_and($this->bits, $other->bits));
    }

    public function isEmpty(): bool
    {
        return gmp_sign($this->bits) === 0;
    }

    public function has(int $position): bool
    {
        return gmp_testbit($this->bits, $position);
    }

    /**
     * The same set again and again, each time so many positions farther on.
     *
     * @param  int  $width  in positions, a multiple of 8
     */
    public function repeated(int $times, int $width): self
    {
        return self::ofBytes(str_repeat($this->bytes(intdiv($width, 8)), $times));
    }

    /**
     * The set cut into stretches, each counted from its beginning.
     *
     * @param  int  $width  of a stretch, a multiple of 8
     * @return list<self>
     */
    public function stretches(int $width): array
    {
        return array_map(self::ofBytes(...), str_split($this->bytes(), max(1, intdiv($width, 8))));
    }

    /** @return iterable<int> ascending */
    public function positions(): iterable
    {
        for ($at = gmp_scan1($this->bits, 0); $at >= 0; $at = gmp_scan1($this->bits, $at + 1)) {
            yield $at;
        }
    }

    /**
     * The positions that stand at these places of the order, without a walk over all of them.
     *
     * @param  list<int>  $ranks  from 0, ascending
     * @return list<int>
     */
    public function ranked(array $ranks): array
    {
        $found = [];
        $next = $before = 0;
        foreach (str_split($this->bytes(), self::BLOCK) as $i => $bytes) {
            $block = self::ofBytes($bytes);
            $until = $before + $block->count();
            if (isset($ranks[$next]) && $ranks[$next] < $until) {
                foreach ($block->positions() as $position) {
                    if ($before++ === ($ranks[$next] ?? null)) {
                        $found[] = 8 * self::BLOCK * $i + $position;
                        $next++;
                    }
                }
            }
            $before = $until;
        }

        return $found;
    }

    /** @param  int|null  $length  bytes; without one as many as it needs, in whole words */
    public function bytes(?int $length = null): string
    {
        $bytes = $this->isEmpty() ? '' : gmp_export($this->bits, self::WORD, GMP_LSW_FIRST | GMP_LITTLE_ENDIAN);

        return $length === null ? $bytes : substr(str_pad($bytes, $length, "\0"), 0, $length);
    }
}
