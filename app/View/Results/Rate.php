<?php

declare(strict_types=1);

namespace App\View\Results;

use App\Support\Format;
use Luftig\Core\Search\Wilson;

/** How many of some answered, with its interval: as words, and as a line from its lower to its upper bound. */
final readonly class Rate
{
    public const WIDTH = 200;

    /** The usual mark: one in twenty. */
    public const MARK = .05;

    private float $low;

    private float $high;

    /** @param  float|null  $told  the share that was to be expected; null: it is held against one in twenty */
    public function __construct(
        public string $name,
        public int $answered,
        public int $of,
        private ?float $told = null,
    ) {
        [$this->low, $this->high] = Wilson::interval($answered, $of);
    }

    public function count(): string
    {
        return "{$this->answered} of ".Format::number($this->of);
    }

    public function share(): string
    {
        return $this->of === 0 ? '–' : Format::percent($this->answered / $this->of);
    }

    public function interval(): string
    {
        return Format::percent($this->low).' – '.Format::percent($this->high);
    }

    public function from(): float
    {
        return self::at($this->low);
    }

    public function to(): float
    {
        return self::at($this->high);
    }

    public function dot(): float
    {
        return self::at($this->of === 0 ? 0.0 : $this->answered / $this->of);
    }

    public function mark(): float
    {
        return self::at($this->told ?? self::MARK);
    }

    /** What is surely below the mark, surely above it, or not told yet. */
    public function says(): string
    {
        $mark = $this->told === null ? 'one in twenty' : 'what was told, '.Format::percent($this->told);

        return match (true) {
            $this->high < ($this->told ?? self::MARK) => "below $mark",
            $this->low > ($this->told ?? self::MARK) => "above $mark",
            default => "not told apart from $mark".($this->told === null ? ' yet' : ''),
        };
    }

    private static function at(float $share): float
    {
        return round(self::WIDTH * $share, 1);
    }
}
