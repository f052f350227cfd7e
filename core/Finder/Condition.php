<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Query;

/** One step of a search (rule 12). Including drops what is unknown at first, excluding keeps it. */
final readonly class Condition
{
    /**
     * @param  list<string>  $any  values, or the names of sets
     * @param  array{float, float}|null  $of  latitude and longitude
     */
    private function __construct(
        public Field $field,
        public bool $exclude,
        public bool $keepsUnknown,
        public array $any = [],
        public ?float $low = null,
        public ?float $high = null,
        public ?Query $query = null,
        public ?array $of = null,
        public float $km = 0.0,
    ) {
    }

    /** @param  list<string>  $values */
    public static function any(Field $field, array $values, bool $exclude = false, ?bool $keepsUnknown = null): self
    {
        if ($values === []) {
            throw new Mistake("Choose at least one value for {$field->label()}.");
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, any: $values);
    }

    public static function range(Field $field, ?float $low, ?float $high, bool $exclude = false, ?bool $keepsUnknown = null): self
    {
        if ($low === null && $high === null || $low !== null && $high !== null && $low > $high) {
            throw new Mistake("Give {$field->label()} a lower or an upper bound, the lower one not above the upper one.");
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, low: $low, high: $high);
    }

    public static function query(Field $field, string $query, bool $exclude = false, ?bool $keepsUnknown = null): self
    {
        return new self($field, $exclude, $keepsUnknown ?? $exclude, query: Query::parse($query));
    }

    /** @param  array{float, float}  $of */
    public static function near(array $of, float $km, bool $exclude = false, ?bool $keepsUnknown = null): self
    {
        if ($km <= 0) {
            throw new Mistake('A radius is a number of km above 0.');
        }

        return new self(Field::Near, $exclude, $keepsUnknown ?? $exclude, of: $of, km: $km);
    }
}
