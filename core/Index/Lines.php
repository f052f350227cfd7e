<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Generator;

/** The lines of a text field, each once as far as they are remembered, with the places where they stand. */
final class Lines
{
    /** So many different lines are told apart from those that come again. */
    private const REMEMBERED = 50_000;

    /** From so many places on a line has a set of its own. */
    private const OFTEN = 2000;

    /** @var array<string, int> */
    private array $number = [];

    /** @var array<int, string> line → four bytes a place */
    private array $places = [];

    /** One place for each line after the remembered. */
    private string $tail = '';

    private string $text = '';

    private int $count = 0;

    public function add(string $line, int $place): void
    {
        $number = $this->number[$line] ?? null;
        if ($number !== null) {
            $this->places[$number] .= pack('V', $place);

            return;
        }
        if ($this->count < self::REMEMBERED) {
            $this->number[$line] = $this->count;
            $this->places[] = pack('V', $place);
        } else {
            $this->tail .= pack('V', $place);
        }
        $this->text .= $this->count++ === 0 ? $line : "\n$line";
    }

    /**
     * @return Generator<string, string> line → its places, four bytes each; one that is not remembered comes again for
     *     each place
     */
    public function each(): Generator
    {
        foreach ($this->number as $line => $number) {
            yield (string) $line => $this->places[$number];
        }
        foreach (
            $this->tail === '' ? [] : array_slice(explode("\n", $this->text), count($this->places)) as $i => $line
        ) {
            yield $line => substr($this->tail, 4 * $i, 4);
        }
    }

    /**
     * @return array<string, string> the lines, where the places of each begin, and the places; a set of its own for
     *     those that stand often
     */
    public function pieces(string $text): array
    {
        $sets = [];
        $starts = $numbers = '';
        $number = 0;
        foreach ($this->places as $i => $places) {
            if (strlen($places) > 4 * self::OFTEN) {
                $sets[Piece::line($text, $i)] = Bitmap::of(unpack('V*', $places) ?: [])->bytes();
                $places = '';
            }
            $starts .= pack('V', $number);
            $numbers .= $places;
            $number += intdiv(strlen($places), 4);
        }
        for ($left = $this->count - count($this->places); $left >= 0; $left--) {
            $starts .= pack('V', $number++);
        }

        return [
            Piece::lines($text) => $this->text,
            Piece::starts($text) => $starts,
            Piece::places($text) => $numbers.$this->tail,
        ] + $sets;
    }
}
