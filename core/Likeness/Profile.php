<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

use Luftig\Core\Text\Grams;

/** What is compared of a company: the phrases of its text, its industries, its size. */
final readonly class Profile
{
    /**
     * @param  array<string, int>  $grams  phrase → how often
     * @param  list<string>  $industries  ISIC codes
     */
    public function __construct(
        public int|string $id,
        public array $grams,
        public array $industries = [],
        public ?int $headcount = null,
    ) {
    }

    /** @param  list<string>  $industries */
    public static function of(int|string $id, string $text, array $industries = [], ?int $headcount = null): self
    {
        return new self($id, Grams::of($text), $industries, $headcount);
    }
}
