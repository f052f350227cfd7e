<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Generator;

/** Values without end, as somebody wrote them: each is a line, with the places where it stands. */
final class Names implements Collected
{
    private readonly Lines $lines;

    private readonly Bits $known;

    private bool $several = false;

    public function __construct(int $width)
    {
        $this->lines = new Lines;
        $this->known = new Bits($width);
    }

    public function add(array $values, int $place): void
    {
        $this->known->add($place);
        $this->several = $this->several || isset($values[1]);
        foreach ($values as $value) {
            $this->lines->add(strtr($value, "\n", ' '), $place);
        }
    }

    public function pieces(string $field): Generator
    {
        yield Piece::known($field) => $this->known->bytes();
        yield from $this->lines->pieces(Piece::names($field));
    }

    public function totals(Weights $weights): array
    {
        $totals = [];
        foreach ($this->lines->each() as $value => $places) {
            [$accounts, $contacts] = $weights->ofPlaces($places);
            $totals[$value] = [($totals[$value][0] ?? 0) + $accounts, ($totals[$value][1] ?? 0) + $contacts];
        }

        return $totals;
    }

    public function numbers(array $numbers, int $width): ?string
    {
        if ($this->several) {
            return null;
        }
        $codes = array_fill(0, $width, 0);
        foreach ($this->lines->each() as $value => $places) {
            foreach (unpack('V*', $places) ?: [] as $place) {
                $codes[$place] = $numbers[$value];
            }
        }

        return implode(
            '',
            array_map(static fn (array $some): string => pack('V*', ...$some), array_chunk($codes, 1000)),
        );
    }
}
