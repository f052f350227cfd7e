<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\StepForm;
use App\Finder\Variation;
use App\Support\Format;
use Luftig\Core\Search\Comparison;

/** One step with other values, side by side. */
final readonly class Varied
{
    private const LOWEST = 26;

    private const MORE = 60;

    /** @param  list<array{number: string, says: string, height: int, url: string}>  $tried */
    private function __construct(public int $at, public StepForm $step, public array $tried, public string $lines)
    {
    }

    /** @param  string  $lines  values to try, one a line */
    public static function of(FinderPage $page, string $at, string $lines): ?self
    {
        $steps = $page->search->steps;
        if (! ctype_digit($at) || ! isset($steps[(int) $at])) {
            return null;
        }
        $at = (int) $at;
        $tried = Variation::of($page->search, $at, $lines);
        $most = max([1, ...array_map(fn (array $one): int => $one['count'] ?? 0, $tried)]);

        return new self($at, $steps[$at], array_map(fn (array $one): array => [
            'number' => $one['count'] === null ? '–' : Format::number($one['count']),
            'says' => $one['count'] === null
                ? $one['step']->given['v'] ?? $one['step']->given['q'] ?? 'cannot be used'
                : $one['step']->says(),
            'height' => self::LOWEST + (int) round(self::MORE * ($one['count'] ?? 0) / $most),
            'url' => $page->address(array_replace($steps, [$at => $one['step']])),
        ], $tried), $lines);
    }

    public function isTyped(): bool
    {
        return Variation::isTyped($this->step);
    }

    public function asks(): string
    {
        return 'Others to try, one a line'.($this->step->field->test() === Comparison::Range ? ', as in 50–249' : '');
    }
}
