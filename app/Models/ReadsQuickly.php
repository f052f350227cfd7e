<?php

declare(strict_types=1);

namespace App\Models;

use BackedEnum;
use Carbon\CarbonImmutable;

/**
 * Reads attributes as Eloquent does, without asking at each read how: what is read as it stands is known by class, what
 * a cast makes of a value is made once for that value. Pages read the same attributes of hundreds of records; asking
 * was a third of what the server took for them.
 */
trait ReadsQuickly
{
    /** @var array<class-string, array<string, true>> attributes without cast */
    private static array $withoutCast = [];

    /** @var array<class-string, array<string, true>> attributes that are read as they stand if a whole number does */
    private static array $wholeNumbers = [];

    /** @var array<class-string, array<string, array<int|string, BackedEnum>>> what a word of an attribute stands for */
    private static array $words = [];

    /** @var array<string, array{mixed, mixed}> by attribute, what stands there and what its cast made of it */
    private array $made = [];

    /** Other casts than those of its class. */
    private bool $isCastApart = false;

    /**
     * @param  string  $key
     * @return mixed
     */
    public function getAttribute($key)
    {
        if (! array_key_exists($key, $this->attributes)) {
            return $this->relations[$key] ?? parent::getAttribute($key);
        }
        $stored = $this->attributes[$key];
        if ($this->isCastApart) {
            return parent::getAttribute($key);
        }
        if (isset(self::$withoutCast[static::class][$key])
            || is_int($stored) && isset(self::$wholeNumbers[static::class][$key])) {
            return $stored;
        }
        if (isset($this->made[$key]) && $this->made[$key][0] === $stored) {
            return $this->made[$key][1];
        }
        if ((is_string($stored) || is_int($stored)) && isset(self::$words[static::class][$key][$stored])) {
            return self::$words[static::class][$key][$stored];
        }
        $value = parent::getAttribute($key);
        $this->note($key, $stored, $value);

        return $value;
    }

    /** Notes how an attribute is read, so that nobody asks again. */
    private function note(string $key, mixed $stored, mixed $value): void
    {
        $class = static::class;
        if ($this->hasAnyGetMutator($key)) {
            return;
        }
        if (! $this->hasCast($key) && ! in_array($key, $this->getDates(), true)) {
            self::$withoutCast[$class][$key] = true;
        } elseif ($this->hasCast($key, ['int', 'integer'])) {
            self::$wholeNumbers[$class][$key] = true;
        } elseif ($value instanceof BackedEnum && $value->value === $stored) {
            self::$words[$class][$key][$stored] = $value;
        } elseif ($value === null || is_scalar($value) || is_array($value) || $value instanceof CarbonImmutable) {
            $this->made[$key] = [$stored, $value];
        }
    }

    /** @param  string  $offset */
    public function offsetExists($offset): bool
    {
        return array_key_exists($offset, $this->attributes)
            ? $this->getAttribute($offset) !== null : parent::offsetExists($offset);
    }

    /**
     * @param  array<array-key, mixed>  $casts
     * @return $this
     */
    public function mergeCasts($casts)
    {
        // Each record that is read is given those of its class anew.
        if ($casts !== $this->casts) {
            parent::mergeCasts($casts);
            $this->isCastApart = true;
        }

        return $this;
    }
}
