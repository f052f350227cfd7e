<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

/** In how many of some texts each phrase stands: what stands in many says little (inverse document frequency). */
final readonly class Frequencies
{
    /**
     * @param  int  $texts  of how many texts
     * @param  array<string, int>  $in  phrase → in how many of them; one that is not there stands in none
     */
    public function __construct(public int $texts, public array $in)
    {
    }

    /** @param  iterable<array<string, int>>  $all  the phrases of each text (Grams) */
    public static function of(iterable $all): self
    {
        $in = [];
        $texts = 0;
        foreach ($all as $grams) {
            $texts++;
            foreach ($grams as $gram => $_) {
                $in[$gram] = ($in[$gram] ?? 0) + 1;
            }
        }

        return new self($texts, $in);
    }

    /** ln((n + 1) ÷ (df + ½)), above 0 and nearly 0 for what stands everywhere. */
    public function weight(string $phrase): float
    {
        return log(($this->texts + 1) / (min($this->texts, $this->in[$phrase] ?? 0) + .5));
    }

    /**
     * TF-IDF, of length 1: (1 + ln count) × weight.
     *
     * @param  array<string, int>  $grams
     * @return array<string, float> phrase → weight; nothing for an empty text
     */
    public function vector(array $grams): array
    {
        $vector = [];
        $square = 0.0;
        foreach ($grams as $gram => $count) {
            $vector[$gram] = $weight = (1 + log($count)) * $this->weight($gram);
            $square += $weight ** 2;
        }
        $length = sqrt($square);

        return array_map(static fn (float $weight): float => $weight / $length, $vector);
    }
}
