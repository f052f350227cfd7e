<?php

declare(strict_types=1);

namespace App\Intake\Reading;

/** The cells of a row as they are read: without what nobody can see, and as many as there are headings. */
final readonly class Row
{
    private const CONTROL = '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/';

    /** The apostrophe that keeps a spreadsheet from taking a cell for a formula; 's-Hertogenbosch keeps its own. */
    private const SAFETY = "/^\s*'(?=[=+\-@])/";

    /** Signs without a width. */
    private const UNSEEN = '/[\x{200B}-\x{200F}\x{2028}-\x{202E}\x{2060}\x{FEFF}\x{AD}]/u';

    /** Spaces of every kind, but for line breaks. */
    private const SPACES = '/[\t \x{A0}\x{1680}\x{2000}-\x{200A}\x{202F}\x{205F}\x{3000}]+/u';

    /**
     * @param  list<string>  $cells
     * @param  bool  $wasCleaned  of control characters
     */
    private function __construct(public array $cells, public bool $wasCleaned)
    {
    }

    /** @param  list<string>  $cells */
    public static function of(array $cells): self
    {
        $cleaned = false;
        $own = [];
        foreach ($cells as $cell) {
            if (preg_match('/[^\x20-\x7E]/', $cell) === 1 || str_contains($cell, '  ')) {
                $plain = (string) preg_replace(self::CONTROL, '', $cell);
                $cleaned = $cleaned || $plain !== $cell;
                $cell = (string) preg_replace([self::UNSEEN, self::SPACES], ['', ' '], $plain);
            }
            $own[] = trim((string) preg_replace(self::SAFETY, '', $cell));
        }

        return new self($own, $cleaned);
    }

    public function isLonger(int $headings): bool
    {
        return count($this->cells) > $headings
            && array_filter(array_slice($this->cells, $headings), fn (string $cell): bool => $cell !== '') !== [];
    }

    public function isShorter(int $headings): bool
    {
        return count($this->cells) < $headings;
    }

    /**
     * Each way in which a row with too many cells may have been meant: some neighbours as one cell. The likelier come
     * first: 1 and 250 are one number, and a word beside a number is none.
     *
     * @return array<int, list<string>> place of the cell, from 0 → the cells then
     */
    public function joined(int $headings, string $delimiter): array
    {
        $more = count($this->cells) - $headings;
        $ways = $odd = [];
        for ($at = 0; $at < $headings; $at++) {
            $parts = array_slice($this->cells, $at, $more + 1);
            $figures = preg_match('/^\d{1,3}(,\d{3})+$/', implode(',', $parts)) === 1;
            $numbers = count(array_filter($parts, is_numeric(...)));
            $odd[$at] = $figures ? -1 : (int) ($numbers > 0 && $numbers < count($parts));
            $cells = $this->cells;
            $sign = $delimiter === ',' && ! $figures ? ', ' : $delimiter;
            array_splice($cells, $at, $more + 1, [implode($sign, $parts)]);
            $ways[$at] = $cells;
        }
        asort($odd);

        return array_map(fn (int $at): array => $ways[$at], array_combine(array_keys($odd), array_keys($odd)));
    }
}
