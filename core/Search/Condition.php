<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

use Luftig\Core\Geo\Coordinates;
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
     * @param  list<self>  $parts  that hold of one and the same signal, position or opening
     * @param  int  $times  how many of these there must be
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

    /**
     * @param  list<string>  $values
     *
     * @throws Mistake where there is no value, one is empty, or the field has no values to choose from
     */
    public static function any(
        Field $field,
        array $values,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        bool $all = false,
        string $which = '',
    ): self {
        self::mustBe($field, Comparison::Any, Comparison::Sets);
        if ($values === [] || in_array('', array_map(trim(...), $values), true)) {
            throw new Mistake("Choose at least one value for {$field->label()}.");
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, any: $values, all: $all, which: $which);
    }

    /**
     * @param  float|null  $low  in the unit of the field; of fields that count back, days before today
     *
     * @throws Mistake where neither bound is given, they are the wrong way round or no numbers, or the field is no
     *     number
     */
    public static function range(
        Field $field,
        ?float $low,
        ?float $high,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        string $which = '',
    ): self {
        self::mustBe($field, Comparison::Range);
        if (! is_finite($low ?? 0.0) || ! is_finite($high ?? 0.0)) {
            throw new Mistake("A bound of {$field->label()} is a number.");
        }
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
     *
     * @throws Mistake where the query cannot be read, there is no such passage, or the field is no text
     */
    public static function query(
        Field $field,
        string $query,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        string $which = '',
    ): self {
        self::mustBe($field, Comparison::Query);
        if (count(Passage::named($which)) !== count(array_filter(explode(',', $which)))) {
            throw new Mistake('Words are looked for in '.implode(', ', array_column(Passage::cases(), 'value')).'.');
        }

        return new self($field, $exclude, $keepsUnknown ?? $exclude, query: Query::parse($query), which: $which);
    }

    /**
     * @param  array{float, float}  $of  latitude and longitude in degrees
     * @param  float  $km  above 0
     *
     * @throws Mistake where there is no such place on Earth, or the radius is none
     */
    public static function near(
        array $of,
        float $km,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        bool $anySite = false,
    ): self {
        new Coordinates(...$of);
        if (! is_finite($km) || $km <= 0) {
            throw new Mistake('A radius is a number of km above 0.');
        }

        return new self(
            Field::Near, $exclude, $keepsUnknown ?? $exclude, of: $of, km: $km, which: $anySite ? 'any' : '',
        );
    }

    /**
     * @param  list<self>  $parts  each including
     * @param  string  $which  of signals: whose they are (Whose); empty: whoever's
     *
     * @throws Mistake where there is no part, one of them excludes or is of something else, they are asked for less
     *     than once, or signals of nobody there are meant
     */
    public static function together(
        Field $field,
        array $parts,
        int $times = 1,
        bool $exclude = false,
        ?bool $keepsUnknown = null,
        string $which = '',
    ): self {
        self::mustBe($field, Comparison::Parts);
        if ($which !== '' && ($field !== Field::Event || Whose::tryFrom($which) === null)) {
            throw new Mistake('Signals are those of the account, or of its people.');
        }
        foreach ($parts as $part) {
            if ($part->exclude || ! in_array($part->field, $field->parts(), true)) {
                throw new Mistake("{$part->field->label()} is no part of {$field->label()} that can be asked for.");
            }
        }
        if ($parts === []) {
            throw new Mistake("Say at least one thing about {$field->label()}.");
        }
        if ($times < 1) {
            throw new Mistake('How many: a whole number from 1.');
        }

        return new self(
            $field, $exclude, $keepsUnknown ?? $exclude, parts: $parts, times: $times, which: $which,
        );
    }

    /** @throws Mistake where the field is asked in another way */
    private static function mustBe(Field $field, Comparison ...$ways): void
    {
        if (! in_array($field->test(), $ways, true)) {
            throw new Mistake("{$field->label()} is asked by {$field->test()->label()}, not by {$ways[0]->label()}.");
        }
    }
}
