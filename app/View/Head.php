<?php

declare(strict_types=1);

namespace App\View;

/** The head of a column of a table. */
final readonly class Head
{
    /**
     * @param  string|null  $url  to the table in this order; null: it is not ordered by this
     * @param  string|null  $sorted  ascending or descending, where it is in this order
     */
    private function __construct(
        public string $label,
        public bool $isNumber = false,
        public ?string $url = null,
        public ?string $sorted = null,
        public bool $isHidden = false,
    ) {
    }

    public static function text(string $label, ?string $url = null, ?string $sorted = null): self
    {
        return new self($label, false, $url, $sorted);
    }

    public static function number(string $label, ?string $url = null, ?string $sorted = null): self
    {
        return new self($label, true, $url, $sorted);
    }

    /** For readers of screens only, as over a column of buttons. */
    public static function hidden(string $label): self
    {
        return new self($label, isHidden: true);
    }

    /** As short lists of heads are written: "#" before those of numbers, "-" before those that are not shown. */
    public static function from(self|string $head): self
    {
        return match (true) {
            $head instanceof self => $head,
            str_starts_with($head, '#') => self::number(substr($head, 1)),
            str_starts_with($head, '-') => self::hidden(substr($head, 1)),
            default => self::text($head),
        };
    }

    public function arrow(): string
    {
        return match ($this->sorted) {
            'ascending' => ' ↑',
            'descending' => ' ↓',
            default => '',
        };
    }
}
