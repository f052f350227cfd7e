<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\Options;
use App\Finder\StepForm;
use App\Support\Format;

/**
 * A step of the staircase: as high as the logarithm of what remains, with what it costs and what can be done with it.
 */
final readonly class Stair
{
    private const LOWEST = 26;

    private const HIGHEST = 88;

    public string $number;

    public int $height;

    /** @param  array{step: StepForm, after: int|null, without: int|null, unknown: int|null}  $row */
    public function __construct(
        private FinderPage $page,
        public int $at,
        private array $row,
        public bool $isLast,
        public ?string $mistake,
        public bool $isOpen,
        private Options $options,
    ) {
        $this->number = $row['after'] === null ? '–' : Format::number($row['after']);
        $this->height = self::heightOf($row['after'], $page->everybody);
    }

    public static function heightOf(?int $number, int $of): int
    {
        return $number === null ? self::LOWEST
            : self::LOWEST + (int) round((self::HIGHEST - self::LOWEST) * log(1 + $number) / log(2 + $of));
    }

    public function step(): StepForm
    {
        return $this->row['step'];
    }

    public function label(): string
    {
        return ($this->step()->excludes() ? 'not ' : '').$this->step()->field->label();
    }

    public function inputs(): StepInputs
    {
        return new StepInputs(
            $this->step()->field, $this->step(), $this->at, $this->options, $this->mistake !== null,
        );
    }

    /** @return array<int, StepForm> which its own form sends along */
    public function others(): array
    {
        return array_diff_key($this->page->search->steps, [$this->at => 0]);
    }

    public function costs(): string
    {
        return match (true) {
            $this->mistake !== null => 'cannot be used',
            $this->step()->isOff() => 'off',
            default => 'without: '.Format::number((int) $this->row['without']),
        };
    }

    /** How many are unknown on it, and whether they are kept. */
    public function unknown(): ?string
    {
        $n = (int) $this->row['unknown'];

        return $n === 0 ? null : Format::number($n).' unknown'.($this->step()->keepsUnknown() ? ', kept' : '');
    }

    public function unknownTitle(): string
    {
        return $this->step()->keepsUnknown() ? 'They are kept; drop them' : 'They are dropped; keep them';
    }

    public function otherUnknown(): string
    {
        return $this->changed($this->step()->with(['u' => $this->step()->keepsUnknown() ? '0' : '1']));
    }

    public function switched(): string
    {
        return $this->changed($this->step()->with(['off' => $this->step()->isOff() ? null : '1']));
    }

    public function edited(): string
    {
        return $this->page->address($this->page->search->steps, ['edit' => $this->at]);
    }

    public function varied(): string
    {
        return $this->page->address($this->page->search->steps, ['vary' => $this->at]);
    }

    public function removed(): string
    {
        return $this->page->address($this->others());
    }

    public function earlier(): ?string
    {
        return $this->at === 0 ? null : $this->swapped($this->at - 1);
    }

    public function later(): ?string
    {
        return $this->isLast ? null : $this->swapped($this->at);
    }

    private function swapped(int $first): string
    {
        $steps = $this->page->search->steps;
        [$steps[$first], $steps[$first + 1]] = [$steps[$first + 1], $steps[$first]];

        return $this->page->address($steps);
    }

    private function changed(StepForm $step): string
    {
        return $this->page->address(array_replace($this->page->search->steps, [$this->at => $step]));
    }
}
