<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Search\Passage;
use Luftig\Core\Text\Algebra;

/**
 * A query worked out in sets of lines, so that each of its words is looked up once in all of the text.
 *
 * @implements Algebra<Bitmap>
 */
final readonly class LineSets implements Algebra
{
    /** From so many on they are looked for together, line by line, and not each in all of the text. */
    private const MANY = 12;

    private Bitmap $everything;

    /** @param  list<Passage>  $passages  in which words are looked for; none: in all of a line */
    public function __construct(private Pieces $pieces, private string $text, private array $passages = [])
    {
        $this->everything = Bitmap::first($pieces->countOfLines($text));
    }

    public function words(array $needles): Bitmap
    {
        // What is open at its end may begin in the middle of a word, and is looked for by itself.
        $whole = $this->passages === []
            ? array_values(array_filter($needles, static fn (string $needle): bool => str_ends_with($needle, ' ')))
            : [];
        $together = count($whole) < self::MANY ? [] : $whole;
        $sets = array_map(
            fn (string $needle): Bitmap => Bitmap::of($this->pieces->linesWith($this->text, $needle, $this->passages)),
            array_values(array_diff($needles, $together)),
        );
        if ($together !== []) {
            $sets[] = Bitmap::of($this->pieces->linesWithAny($this->text, $together));
        }

        return $this->any($sets);
    }

    public function all(array $parts): Bitmap
    {
        return array_reduce($parts, static fn (Bitmap $all, Bitmap $one): Bitmap => $all->and($one), $this->everything);
    }

    public function any(array $parts): Bitmap
    {
        return array_reduce($parts, static fn (Bitmap $all, Bitmap $one): Bitmap => $all->or($one), Bitmap::none());
    }

    public function not(mixed $part): Bitmap
    {
        return $this->everything->without($part);
    }
}
