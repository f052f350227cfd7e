<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

use Luftig\Core\Text\Algebra;

/**
 * A query worked out in sets of lines, so that each of its words is looked up once in all of the text.
 *
 * @implements Algebra<Bitmap>
 */
final readonly class LineSets implements Algebra
{
    private Bitmap $everything;

    /** @param  list<Passage>  $passages  in which words are looked for; none: in all of a line */
    public function __construct(private Pieces $pieces, private string $field, private array $passages = [])
    {
        $this->everything = Bitmap::first($pieces->countOfLines($field));
    }

    public function words(string $needle): Bitmap
    {
        return Bitmap::of($this->pieces->linesWith($this->field, $needle, $this->passages));
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
