<?php

declare(strict_types=1);

namespace App\Support;

/** What sort of value a fact is, by which it is read, shown and given out. */
enum FieldKind
{
    /** A whole number from 0, perhaps about right: “ca. 40”. */
    case Count;
    /** A fraction, read and shown as per cent. */
    case Growth;
    case Year;
    case Text;
    /** Several words or phrases, parted by semicolons. */
    case Words;

    /** As it is shown to a reader. */
    public function shown(float|int|string $value): string
    {
        return match ($this) {
            self::Count => Format::number((float) $value),
            self::Growth => Format::growth((float) $value),
            default => (string) $value,
        };
    }
}
