<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

/** The pieces of an index, read as what they hold. */
final class Pieces
{
    /** Bytes of lines that are read at once. */
    private const CHUNK = 1 << 20;

    /** @var array<string, Bitmap> */
    private array $sets = [];

    public function __construct(public readonly Store $store)
    {
    }

    public function set(string $key): Bitmap
    {
        return $this->sets[$key] ??= Bitmap::ofBytes($this->get($key));
    }

    /** The bytes of a piece; empty where there is none. */
    public function get(string $key): string
    {
        return $this->store->get($key) ?? '';
    }

    /** @return iterable<int, string> the lines of a piece, a part of it at a time */
    public function lines(string $key): iterable
    {
        $rest = null;
        $number = 0;
        for ($offset = 0; ($chunk = $this->store->part($key, $offset, self::CHUNK)) !== ''; $offset += strlen($chunk)) {
            $lines = explode("\n", $rest.$chunk);
            $rest = array_pop($lines);
            foreach ($lines as $line) {
                yield $number++ => $line;
            }
        }
        if ($rest !== null) {
            yield $number => $rest;
        }
    }

    /**
     * Where any of these lines of a text field stands.
     *
     * @param  list<int>  $lines  numbers of lines
     */
    public function ofLines(string $field, array $lines): Bitmap
    {
        $starts = $this->get("o:$field");
        $numbers = $this->get("p:$field");
        $found = Bitmap::none();
        $rest = '';
        foreach ($lines as $i) {
            [$from, $to] = [self::number($starts, $i), self::number($starts, $i + 1)];
            if ($from === $to) {
                $found = $found->or($this->set("l:$field#$i"));
            } else {
                $rest .= substr($numbers, 4 * $from, 4 * ($to - $from));
            }
        }

        return $rest === '' ? $found : $found->or(Bitmap::of(unpack('V*', $rest) ?: []));
    }

    /** Where, of ascending numbers of four bytes each, the first stands that is not below a number. */
    public static function lowest(string $numbers, int $number): int
    {
        [$low, $high] = [0, intdiv(strlen($numbers), 4)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if (self::number($numbers, $middle) < $number) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** The number of four bytes at a place. */
    public static function number(string $bytes, int $place): int
    {
        $at = 4 * $place;

        return ord($bytes[$at]) | ord($bytes[$at + 1]) << 8 | ord($bytes[$at + 2]) << 16 | ord($bytes[$at + 3]) << 24;
    }
}
