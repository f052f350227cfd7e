<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Generator;

/**
 * Values of which there are few. The first of several at a place stands in a column, as a number of its own, which is
 * many times as fast as setting bit after bit; the others, and those beyond what a byte can tell, in sets.
 */
final class Values implements Collected
{
    private readonly ByteColumn $first;

    /** @var array<array-key, int> value → its number, from 1; 0: there are too many for a number */
    private array $numbers = [];

    /** @var array<array-key, Bits> */
    private array $others = [];

    private readonly Bits $none;

    /** @var array<array-key, Bitmap>|null */
    private ?array $sets = null;

    public function __construct(private readonly int $width)
    {
        $this->first = new ByteColumn($width);
        $this->none = new Bits($width);
    }

    public function add(array $values, int $place): void
    {
        foreach ($values as $i => $value) {
            $number = $this->numbers[$value] ?? $this->number($value);
            if ($i === 0 && $number > 0) {
                $this->first->put($place, $number);
            } else {
                ($this->others[$value] ??= new Bits($this->width))->add($place);
            }
        }
        if ($values === []) {
            $this->none->add($place);
        }
    }

    public function pieces(string $field): Generator
    {
        $known = $this->none->set();
        foreach ($this->sets() as $value => $set) {
            yield Piece::value($field, $value) => $set->bytes();
            $known = $known->or($set);
        }
        yield Piece::known($field) => $known->bytes();
    }

    public function totals(Weights $weights): array
    {
        return array_map($weights->ofSet(...), $this->sets());
    }

    public function numbers(array $numbers, int $width): ?string
    {
        if ($this->others !== []) {
            return null;
        }
        $codes = [pack('V', 0)];
        foreach ($this->numbers as $value => $number) {
            $codes[$number] = pack('V', $numbers[$value]);
        }

        return str_pad(
            implode(
                '',
                array_map(static fn (string $byte): string => $codes[ord($byte)], str_split($this->first->lowest())),
            ),
            4 * $width,
            "\0",
        );
    }

    private function number(string $value): int
    {
        $number = count($this->numbers) + 1;

        return $this->numbers[$value] = $number < 256 ? $number : 0;
    }

    /** @return array<array-key, Bitmap> */
    private function sets(): array
    {
        if ($this->sets === null) {
            $this->sets = [];
            $places = $this->first->places();
            foreach ($this->numbers as $value => $number) {
                $set = $places[$number] ?? Bitmap::none();
                $this->sets[$value] = isset($this->others[$value]) ? $set->or($this->others[$value]->set()) : $set;
            }
        }

        return $this->sets;
    }
}
