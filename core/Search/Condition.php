<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Query;

/** One step of a search (rule 12). Including drops what is unknown at first, excluding keeps it. */
final readonly class Condition
{
    /** @var string how the index calls what is asked */
    public string $key;

    /**
     * @param  list<string>  $any  values, or the names of sets
     * @param  bool  $all  all of the values, and not any of them
     * @param  array{float, float}|null  $of  latitude and longitude
     * @param  list<self>  $parts  that hold of one and the same signal or position
     * @param  int  $times  how many signals or positions there must be
     */
    private function __construct(
        public Field $field,
        public bool $exclude,
        public bool $keepsUnknown,
        public array $any = [],
        public bool $all = false,
        public ?float $low = null,
        public ?float $high = null,
        public ?Query $query = null,
        public ?array $of = null,
        public float $km = 0.0,
        public array $parts = [],
        public int $times = 1,
        public string $which = '',
    ) {
        $this->key = self::named($field, $which);
    }

    /**
     * @param  string  $which  where a field stands for several: the name of an attribute, a buyer role, "any" for any
     *     site
     */
    public static function named(Field $field, string $which = ''): string
    {
        return $which === '' ? $field->value : "{$field->value}:$which";
    }

    /** @param  list<string>  $values */
    public static function any(
        Field $field,
        array $values,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        bool $all = false,
        string $which = '',
    ): self {
        if ($values === []) {
            throw new Mistake("Choose at least one value for {$field->label()}.");
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, any: $values, all: $all, which: $which);
    }

    public static function range(
        Field $field,
        ?float $low,
        ?float $high,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        string $which = '',
    ): self {
        if ($low === null && $high === null || $low !== null && $high !== null && $low > $high) {
            throw new Mistake(
                "Give {$field->label()} a lower or an upper bound, the lower one not above the upper one.",
            );
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, low: $low, high: $high, which: $which);
    }

    /**
     * @param  string  $which  of an account's words: the passages in which they are looked for (Passage), parted by
     *     commas; empty: in all
     */
    public static function query(
        Field $field,
        string $query,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        string $which = '',
    ): self {
        if (count(Passage::named($which)) !== count(array_filter(explode(',', $which)))) {
            throw new Mistake('Words are looked for in '.implode(', ', array_column(Passage::cases(), 'value')).'.');
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, query: Query::parse($query), which: $which);
    }

    /** @param  array{float, float}  $of */
    public static function near(
        array $of,
        float $km,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        bool $anySite = false,
    ): self {
        if ($km <= 0) {
            throw new Mistake('A radius is a number of km above 0.');
        }

        return new self(
            Field::Near, $exclude, $keepsUnknown ?? $exclude, of: $of, km: $km, which: $anySite ? 'any' : '',
        );
    }

    /** @param  list<self>  $parts  each including */
    public static function together(
        Field $field,
        array $parts,
        int $times = 1,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
    ): self {
        if ($parts === []) {
            throw new Mistake("Say at least one thing about {$field->label()}.");
        }
        if ($times < 1) {
            throw new Mistake('How many: a whole number from 1.');
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, parts: $parts, times: $times);
    }
}
