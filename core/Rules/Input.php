<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use BackedEnum;
use DateTimeImmutable;
use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;
use Throwable;

/** One object of the input: reads its fields by type, names the place of every mistake, and knows what was not read. */
final class Input
{
    /** @var array<string, true> */
    private array $read = [];

    /** @param  array<mixed>  $fields */
    private function __construct(private readonly array $fields, private readonly string $path)
    {
    }

    /** @throws Mistake unless the value is an object */
    public static function of(mixed $value, string $path = ''): self
    {
        if (! is_array($value) || $value !== [] && array_is_list($value)) {
            throw new Mistake('An object is expected here.', $path === '' ? null : $path);
        }

        return new self($value, $path);
    }

    public function has(string $field): bool
    {
        return $this->value($field) !== null;
    }

    public function string(string $field): string
    {
        return $this->optionalString($field) ?? throw $this->missing($field);
    }

    public function optionalString(string $field): ?string
    {
        $value = $this->value($field);
        if ($value !== null && ! is_string($value)) {
            throw Mistake::at($this->place($field), 'This is a text.');
        }

        return $value;
    }

    public function number(string $field, ?float $low = null, ?float $high = null): float
    {
        return $this->optionalNumber($field, $low, $high) ?? throw $this->missing($field);
    }

    public function optionalNumber(string $field, ?float $low = null, ?float $high = null): ?float
    {
        return self::asNumber($this->value($field), $this->place($field), $low, $high);
    }

    public function optionalInteger(string $field, int $low = 0): ?int
    {
        $value = $this->optionalNumber($field, $low);
        if ($value !== null && $value !== floor($value)) {
            throw Mistake::at($this->place($field), 'This is a whole number.');
        }

        return $value === null ? null : (int) $value;
    }

    /** Unix seconds of an ISO 8601 time; a date alone is its midnight, UTC. */
    public function time(string $field): float
    {
        return $this->optionalTime($field) ?? throw $this->missing($field);
    }

    public function optionalTime(string $field): ?float
    {
        $text = $this->optionalString($field);
        if ($text === null) {
            return null;
        }
        $pattern = '~^(\d{4})-(\d\d)-(\d\d)(?:T\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)?)?$~';
        try {
            if (preg_match($pattern, $text, $day) !== 1 || ! checkdate((int) $day[2], (int) $day[3], (int) $day[1])) {
                throw new Mistake('not a time');
            }

            return (float) (new DateTimeImmutable($text, new \DateTimeZone('UTC')))->format('U.u');
        } catch (Throwable) {
            throw Mistake::at($this->place($field), 'This is a time as in 2026-11-23T09:00:00Z.');
        }
    }

    /** @return list<list<mixed>> */
    public function lists(string $field): array
    {
        $lists = [];
        foreach ($this->list($field) as $i => $one) {
            if (! is_array($one) || ! array_is_list($one)) {
                throw Mistake::at($this->place($field)."[$i]", 'This is a list.');
            }
            $lists[] = $one;
        }

        return $lists;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function choice(string $field, string $enum): BackedEnum
    {
        return $this->optionalChoice($field, $enum) ?? throw $this->missing($field);
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function optionalChoice(string $field, string $enum): ?BackedEnum
    {
        $text = $this->optionalString($field);
        if ($text === null) {
            return null;
        }

        return $enum::tryFrom($text)
            ?? throw Mistake::at($this->place($field), 'This is one of: '.self::values($enum).'.');
    }

    /** @param  class-string<BackedEnum>  $enum */
    public static function values(string $enum): string
    {
        return implode(', ', array_map(static fn (BackedEnum $case): string => (string) $case->value, $enum::cases()));
    }

    public function object(string $field): self
    {
        return $this->optionalObject($field) ?? throw $this->missing($field);
    }

    public function optionalObject(string $field): ?self
    {
        $value = $this->value($field);

        return $value === null ? null : self::of($value, $this->place($field));
    }

    /** @return list<self> */
    public function objects(string $field): array
    {
        return array_map(
            fn (mixed $value, int $i): self => self::of($value, $this->place($field)."[$i]"),
            $list = $this->list($field),
            array_keys($list),
        );
    }

    /** @return list<string> the fields that are there */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->fields));
    }

    /** @return array<string, self> the objects that an object holds, by name */
    public function optionalMap(string $field): array
    {
        $map = [];
        foreach ($this->optionalObject($field)->fields ?? [] as $name => $value) {
            $map[(string) $name] = self::of($value, $this->place($field).".$name");
        }

        return $map;
    }

    /** @return array<string, string> texts by name */
    public function stringMap(string $field): array
    {
        $object = $this->optionalObject($field);
        $map = [];
        foreach ($object?->names() ?? [] as $name) {
            $map[$name] = (string) $object?->string($name);
        }

        return $map;
    }

    /** @return list<string> */
    public function strings(string $field): array
    {
        $list = $this->has($field) ? $this->list($field) : [];
        foreach ($list as $i => $value) {
            if (! is_string($value)) {
                throw Mistake::at($this->place($field)."[$i]", 'This is a text.');
            }
        }

        /** @var list<string> $list */
        return $list;
    }

    /** @return list<float> */
    public function numbers(string $field, ?float $low = null, ?float $high = null): array
    {
        $numbers = [];
        foreach ($this->list($field) as $i => $value) {
            $place = $this->place($field)."[$i]";
            $numbers[] = self::asNumber($value, $place, $low, $high) ?? throw Mistake::at($place, 'This is a number.');
        }

        return $numbers;
    }

    /** @return array{float|null, float|null} a pair of numbers, either of which may be null */
    public function pair(string $field): array
    {
        $list = $this->list($field);
        if (count($list) !== 2) {
            throw Mistake::at($this->place($field), 'This is a list of two numbers.');
        }

        return [
            self::asNumber($list[0], $this->place($field).'[0]'),
            self::asNumber($list[1], $this->place($field).'[1]'),
        ];
    }

    /** @return list<mixed> */
    private function list(string $field): array
    {
        $value = $this->value($field) ?? throw $this->missing($field);
        if (! is_array($value) || ! array_is_list($value)) {
            throw Mistake::at($this->place($field), 'This is a list.');
        }

        return $value;
    }

    public function boolean(string $field): bool
    {
        $value = $this->value($field) ?? false;
        if (! is_bool($value)) {
            throw Mistake::at($this->place($field), 'This is true or false.');
        }

        return $value;
    }

    /** A set of functions, named in words or in code. */
    public function functions(string $field): int
    {
        $functions = [];
        foreach ($this->strings($field) as $i => $name) {
            $functions[] = BusinessFunction::named($name)
                ?? throw Mistake::at(
                    $this->place($field)."[$i]",
                    'This is one of: '.self::values(BusinessFunction::class).'.',
                );
        }

        return BusinessFunction::set($functions);
    }

    public function optionalQuery(string $field): ?Query
    {
        $text = $this->optionalString($field);
        try {
            return $text === null || trim($text) === '' ? null : Query::parse($text);
        } catch (QueryMistake $mistake) {
            throw Mistake::at($this->place($field), $mistake->getMessage(), $mistake->character);
        }
    }

    /** @return list<int|string> texts or whole numbers; none where the field is absent */
    public function ids(string $field): array
    {
        $list = $this->has($field) ? $this->list($field) : [];
        foreach ($list as $i => $value) {
            if (! is_int($value) && ! is_string($value)) {
                throw Mistake::at($this->place($field)."[$i]", 'This is a text or a whole number.');
            }
        }

        /** @var list<int|string> $list */
        return $list;
    }

    /** A text or a whole number. */
    public function id(string $field): int|string
    {
        $value = $this->value($field) ?? throw $this->missing($field);
        if (! is_int($value) && ! is_string($value)) {
            throw Mistake::at($this->place($field), 'This is a text or a whole number.');
        }

        return $value;
    }

    /** @throws Mistake naming the first field that nobody asked for */
    public function done(): void
    {
        $unknown = array_values(array_diff(array_map(strval(...), array_keys($this->fields)), array_keys($this->read)));
        if ($unknown !== []) {
            throw Mistake::at($this->place($unknown[0]), count($unknown) === 1
                ? "There is no field “{$unknown[0]}” here."
                : 'There are no fields “'.implode('”, “', $unknown).'” here.');
        }
    }

    /**
     * Runs something with what was read here, so that its mistakes name this place.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    public function make(callable $make): mixed
    {
        try {
            return $make();
        } catch (Mistake $mistake) {
            throw new Mistake($mistake->getMessage(), match (true) {
                is_string($mistake->at) => $this->path !== '' && str_starts_with($mistake->at, $this->path.'.')
                    ? $mistake->at
                    : $this->place($mistake->at),
                default => $this->path !== '' ? $this->path : $mistake->at,
            }, $mistake->character);
        }
    }

    public function place(string $field): string
    {
        return $this->path === '' ? $field : $this->path.'.'.$field;
    }

    private function value(string $field): mixed
    {
        $this->read[$field] = true;

        return $this->fields[$field] ?? null;
    }

    private function missing(string $field): Mistake
    {
        return Mistake::at($this->place($field), "The field “{$field}” is needed.");
    }

    private static function asNumber(mixed $value, string $place, ?float $low = null, ?float $high = null): ?float
    {
        if ($value === null) {
            return null;
        }
        if (! is_int($value) && ! is_float($value) || ! is_finite((float) $value)) {
            throw Mistake::at($place, 'This is a number.');
        }
        if ($low !== null && $value < $low || $high !== null && $value > $high) {
            throw Mistake::at($place, match (true) {
                $low !== null && $high !== null => "This lies between $low and $high.",
                $low !== null => "This is $low or more.",
                default => "This is $high or less.",
            });
        }

        return (float) $value;
    }
}
