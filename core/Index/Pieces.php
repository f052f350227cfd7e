<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Search\Passage;

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

    /** @return iterable<int, string> the lines of a piece */
    public function lines(string $key): iterable
    {
        $number = 0;
        foreach ($this->stretches($key) as $stretch) {
            foreach (explode("\n", $stretch) as $line) {
                yield $number++ => $line;
            }
        }
    }

    /** How many lines a text field has. */
    public function countOfLines(string $text): int
    {
        return max(0, intdiv(strlen($this->get(Piece::starts($text))), 4) - 1);
    }

    /**
     * The lines of a text field in which a text stands.
     *
     * @param  string  $needle  within one line
     * @param  list<Passage>  $passages  in which it stands; none: wherever
     * @return list<int> numbers of lines, ascending
     */
    public function linesWith(string $text, string $needle, array $passages = []): array
    {
        $found = [];
        $number = 0;
        foreach ($this->stretches(Piece::lines($text)) as $stretch) {
            $counted = $from = 0;
            while (($hit = strpos($stretch, $needle, $from)) !== false) {
                $number += substr_count($stretch, "\n", $counted, $hit - $counted);
                $counted = $hit;
                if ($passages === [] || in_array(Passage::at($stretch, $hit), $passages, true)) {
                    $found[] = $number;
                    // On with the next line.
                    $from = strpos($stretch, "\n", $hit);
                    if ($from === false) {
                        break;
                    }
                } else {
                    $from = $hit + 1;
                }
            }
            $number += substr_count($stretch, "\n", $counted) + 1;
        }

        return $found;
    }

    /**
     * The lines of a text field in which any of many phrases stands, however many these are.
     *
     * @param  list<string>  $needles  whole words, a space before and after each
     * @return list<int> numbers of lines, ascending
     */
    public function linesWithAny(string $text, array $needles): array
    {
        $byWord = [];
        foreach ($needles as $needle) {
            $byWord[substr($needle, 1, strcspn($needle, ' ', 1))][] = $needle;
        }
        $found = [];
        foreach ($this->lines(Piece::lines($text)) as $number => $line) {
            foreach (explode(' ', $line) as $word) {
                foreach ($byWord[$word] ?? [] as $needle) {
                    if (str_contains($line, $needle)) {
                        $found[] = $number;

                        continue 3;
                    }
                }
            }
        }

        return $found;
    }

    /** @return iterable<string> whole lines of a piece, many at once */
    private function stretches(string $key): iterable
    {
        $length = self::CHUNK;
        for ($offset = 0; ($chunk = $this->store->part($key, $offset, $length)) !== ''; $offset += $end + 1) {
            $end = strlen($chunk) < $length ? strlen($chunk) : strrpos($chunk, "\n");
            if ($end === false) {
                // A line that is longer than all that was read.
                $length *= 2;
                $end = -1;
            } else {
                yield substr($chunk, 0, $end);
                $length = self::CHUNK;
            }
        }
    }

    /**
     * Where any of these lines of a text field stands.
     *
     * @param  iterable<int>  $lines  numbers of lines
     */
    public function ofLines(string $text, iterable $lines): Bitmap
    {
        $starts = $this->get(Piece::starts($text));
        $numbers = $this->get(Piece::places($text));
        $found = Bitmap::none();
        $rest = '';
        foreach ($lines as $i) {
            [$from, $to] = [self::number($starts, $i), self::number($starts, $i + 1)];
            if ($from === $to) {
                $found = $found->or($this->set(Piece::line($text, $i)));
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
