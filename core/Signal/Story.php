<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Text\StopWords;

/** What a paper tells, for finding out whether another tells the same (rule 25). */
final readonly class Story
{
    private const SAME = .6;

    private const SECONDS = 7 * 86_400;

    private const SUREST = .97;

    /** @var list<string> the words of the title that say something */
    private array $words;

    /**
     * @param  float  $at  Unix seconds
     * @param  list<string>  $links
     */
    public function __construct(string $title, public float $at, private array $links = [])
    {
        $this->words = StopWords::without($title);
    }

    /** Share of the words of both titles that stand in both, 0–1; each word of a title once. */
    public function share(self $other): float
    {
        $words = count($this->words) + count($other->words);

        return $words === 0 ? 0.0 : 2 * count(array_intersect($this->words, $other->words)) / $words;
    }

    /** The same link, or titles that share 60 % of their words, within 7 days. */
    public function isSame(self $other): bool
    {
        return abs($this->at - $other->at) <= self::SECONDS
            && (array_intersect($this->links, $other->links) !== [] || $this->share($other) >= self::SAME);
    }

    /**
     * How sure several sources make a signal that each of them alone makes so sure.
     *
     * @param  list<float>  $confidences  0–1
     */
    public static function confidence(array $confidences): float
    {
        $doubt = array_product(array_map(static fn (float $sure): float => 1 - $sure, $confidences));

        return min(count($confidences) > 1 ? max(self::SUREST, ...$confidences) : 1.0, 1 - $doubt);
    }
}
