<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

use Generator;

/**
 * Makes the pieces of an index out of records.
 *
 * An account has as many *pages* as it needs for its contacts, LEVELS on each, and its signals, EVENTS on each; contact j of a page stands at
 * j · pages + page, and so does signal j. So a set of pages becomes the set of all their contacts by repeating it once a level, and a set of
 * signals becomes the set of their pages by laying the levels over each other. Posts that contacts had before stand over the contacts likewise.
 */
final class Indexer
{
    public const LEVELS = 16;

    public const EVENTS = 32;

    /** From so many values on they are counted by walking over what was found. */
    private const MANY = 64;

    /** How many stand in the first band. */
    private const BAND = 512;

    /** What things are ordered by is kept as a whole number of 32 bits. */
    private const LIFTED = 2000;

    private const PRECISION = 100_000;

    /** @var array<string, string> key → bits */
    private array $bits = [];

    /** @var array<string, Lines> by text field */
    private array $lines = [];

    /** @var array<int, int> page → account */
    private array $accountOf = [];

    /** @var array<string, string> key → a number at each place, four bytes each: what is ordered by, and ids of contacts; 0 where there is nobody */
    private array $packed = [];

    /** @var list<array{float, float, int, bool}> latitude, longitude, page, headquarters */
    private array $places = [];

    /** @var array<string, array<array-key, array{int, int}>> of:field → value → how many accounts and contacts have it */
    private array $totals = [];

    /** @var array<string, array<int, string>> of:field → place → its one value, for fields that never have several */
    private array $single = [];

    /** @var array<string, true> */
    private array $several = [];

    /** @var array<string, Column> of:field → its numbers, each one higher than it is */
    private array $columns = [];

    /** @var array<string, Column> of:field → the number of its first value */
    private array $coded = [];

    /** @var array<string, array<array-key, int>> of:field → value → its number */
    private array $codes = [];

    /** @var array<string, Field> */
    private array $bases = [];

    /** @var array<string, array{bool, bool}> field → what sort() says of it, which is asked tens of millions of times */
    private array $sorts = [];

    private int $page = 0;

    private readonly int $pages;

    /** @param  iterable<int>  $pages  how many each account has */
    public function __construct(iterable $pages)
    {
        $sum = 0;
        foreach ($pages as $count) {
            $sum += $count;
        }
        $this->pages = ($sum + 7) & ~7;
    }

    /** How many pages an account takes. */
    public static function pagesFor(int $contacts, int $events): int
    {
        return max(1, intdiv($contacts + self::LEVELS - 1, self::LEVELS), intdiv($events + self::EVENTS - 1, self::EVENTS));
    }

    public function add(Record $account): void
    {
        $own = self::pagesFor(count($account->contacts), count($account->parts ?? []));
        $this->set('a:first', $this->page, $this->pages);
        for ($page = $this->page; $page < $this->page + $own; $page++) {
            $this->accountOf[$page] = $account->id;
            $this->describe('a', $account, $page, $this->pages, $page === $this->page ? [1, count($account->contacts)] : [0, 0]);
            foreach ($account->places ?? [] as [$latitude, $longitude, $seat]) {
                $this->places[] = [$latitude, $longitude, $page, $seat];
                $this->set('a:near:any:known', $page, $this->pages);
                if ($seat) {
                    $this->set('a:near:known', $page, $this->pages);
                }
            }
            if ($own > 1) {
                $this->set('a:several', $page, $this->pages);
            }
        }
        $this->pack('a:order', $this->page, self::order($account), $this->pages);
        foreach ($account->parts ?? [] as $i => $event) {
            $this->describePart('e', $event, ($i % self::EVENTS) * $this->pages + $this->page + intdiv($i, self::EVENTS), self::EVENTS * $this->pages);
        }
        $levels = self::LEVELS * $this->pages;
        foreach ($account->contacts as $i => $contact) {
            $place = ($i % self::LEVELS) * $this->pages + $this->page + intdiv($i, self::LEVELS);
            $this->set('c:all', $place, $levels);
            $this->pack('c:ids', $place, $contact->id, $levels);
            $this->describe('c', $contact, $place, $levels);
            $this->pack('c:order', $place, self::order($contact), $levels);
            foreach ($contact->parts ?? [] as $j => $post) {
                $this->describePart('b', $post, $j * $levels + $place, ($j + 1) * $levels);
            }
        }
        $this->page += $own;
    }

    /**
     * Gives the pieces away one after another, and keeps nothing of them.
     *
     * @return Generator<string, string> key → bytes
     */
    public function pieces(): Generator
    {
        yield 'pages' => pack('P', $this->pages);
        yield 'accounts' => self::numbers($this->accountOf);
        yield from $this->cut();
        foreach ($this->lines as $field => $lines) {
            unset($this->lines[$field]);
            yield from $lines->pieces($field);
        }
        foreach ($this->totals as $field => $totals) {
            uasort($totals, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
            yield "n:$field" => json_encode($totals, JSON_THROW_ON_ERROR);
            if (count($totals) > self::MANY && isset($this->single[$field])) {
                $number = array_flip(array_keys($totals));
                foreach ($this->single[$field] as $page => $value) {
                    $this->pack("k:$field", $page, $number[$value] + 1, $this->pages);
                }
                unset($this->single[$field]);
            }
        }
        // By latitude, so that those near a place are a stretch.
        sort($this->places);
        yield 'places' => implode('', array_map(static fn (array $place): string => pack('eeVV', $place[0], $place[1], $place[2], $place[3] ? 1 : 0), $this->places));
        $byId = $this->ascending('c:ids');
        yield 'by id' => self::numbers($byId);
        yield 'places by id' => self::numbers(array_keys($byId));
        unset($byId);
        yield from $this->bands('a:order', 'a', $this->pages);
        yield from $this->bands('c:order', 'c', self::LEVELS * $this->pages);
        yield from $this->packed;
    }

    /**
     * Bands of growing size of those who come first, so that a first page is found without looking at all.
     *
     * @return Generator<string, string>
     */
    private function bands(string $order, string $of, int $width): Generator
    {
        $places = array_reverse(array_keys($this->ascending($order)));
        for ($size = self::BAND, $number = 0; $places !== []; $size *= 8, $number++) {
            yield "$of:band#$number" => Bitmap::of(array_slice($places, 0, $size))->bytes($width >> 3);
            if ($size >= count($places)) {
                break;
            }
        }
    }

    /** @return array<int, int> place → number, the lowest first */
    private function ascending(string $key): array
    {
        $numbers = [];
        foreach (unpack('V*', $this->packed[$key] ?? '') ?: [] as $i => $number) {
            if ($number !== 0) {
                $numbers[$i - 1] = $number;
            }
        }
        asort($numbers);

        return $numbers;
    }

    private static function order(Record $record): int
    {
        return (int) round(($record->order + self::LIFTED) * self::PRECISION);
    }

    /** @param  array<int>  $numbers */
    private static function numbers(array $numbers): string
    {
        return implode('', array_map(static fn (array $some): string => pack('V*', ...$some), array_chunk($numbers, 1000)));
    }

    /** @param  array{int, int}|null  $counts  as how many accounts and contacts it counts; null: as one contact */
    private function describe(string $of, Record $record, int $place, int $width, ?array $counts = null): void
    {
        foreach ($record->values as $field => $values) {
            $key = "$of:$field";
            [$isName, $isCounted] = $this->sorts[$field] ??= self::sort($field);
            if ($values === []) {
                $this->set("$key:known", $place, $width);

                continue;
            }
            if (isset($values[1])) {
                $this->several[$key] = true;
                unset($this->single[$key]);
            } elseif ($of === 'a' && ! isset($this->several[$key]) && $isCounted) {
                $this->single[$key][$place] = $values[0];
            }
            if ($isName) {
                $this->set("$key:known", $place, $width);
                foreach ($values as $value) {
                    ($this->lines["v:$key"] ??= new Lines)->add(strtr($value, "\n", ' '), $place);
                }
            } else {
                $this->put($key, $values, $place, $width);
            }
            foreach ($isCounted ? $values : [] as $value) {
                $this->totals[$key][$value] ??= [0, 0];
                $total = &$this->totals[$key][$value];
                $total[0] += $counts[0] ?? 0;
                $total[1] += $counts[1] ?? 1;
            }
        }
        $this->measure($of, $record, $place, $width);
        if ($record->parts !== null) {
            $this->set("$of:parts:known", $place, $width);
        }
    }

    /** A signal or a post, of which nothing is counted. */
    private function describePart(string $of, Record $record, int $place, int $width): void
    {
        $this->set("$of:all", $place, $width);
        foreach ($record->values as $field => $values) {
            $this->put("$of:$field", $values, $place, $width);
        }
        $this->measure($of, $record, $place, $width);
    }

    /**
     * The first of several values stands in a column, as a number of its own; the others, and those beyond what a byte can tell, in sets.
     *
     * @param  list<string>  $values
     */
    private function put(string $key, array $values, int $place, int $width): void
    {
        $first = true;
        foreach ($values as $value) {
            $number = $first ? $this->codes[$key][$value] ?? $this->numbered($key, $value, $width) : 0;
            if ($number > 0) {
                $this->coded[$key]->put($place, $number);
            } else {
                $this->set("$key:known", $place, $width);
                $this->set("$key=$value", $place, $width);
            }
            $first = false;
        }
    }

    /** @return int the number of a value that comes for the first time, from 1; 0: there are too many for a number */
    private function numbered(string $key, string $value, int $width): int
    {
        $this->coded[$key] ??= new Column($width);
        $number = count($this->codes[$key] ?? []) + 1;

        return $this->codes[$key][$value] = $number < 256 ? $number : 0;
    }

    private function measure(string $of, Record $record, int $place, int $width): void
    {
        foreach ($record->numbers as $field => $number) {
            $base = $this->bases[$field] ??= self::base($field);
            ($this->columns["$of:$field"] ??= new Column($width))->put($place, $base->scaled($number) + 1);
        }
        foreach ($record->texts as $field => $line) {
            $this->set("$of:$field:known", $place, $width);
            ($this->lines[$field] ??= new Lines)->add($line, $place);
        }
    }

    /**
     * The sets that were collected in columns: where each value stands, the binary digits of numbers, and where there is any; and all others.
     *
     * @return Generator<string, string>
     */
    private function cut(): Generator
    {
        foreach ($this->coded as $key => $column) {
            unset($this->coded[$key]);
            $places = $column->places();
            foreach (array_filter($this->codes[$key]) as $value => $number) {
                yield "$key=$value" => $this->with("$key=$value", $places[$number]);
            }
            yield "$key:known" => $this->with("$key:known", self::anyOf($places));
        }
        foreach ($this->columns as $key => $column) {
            unset($this->columns[$key]);
            $digits = $column->digits();
            foreach ($digits as $digit => $set) {
                yield "$key#$digit" => $set->bytes();
            }
            yield "$key:known" => self::anyOf($digits)->bytes();
            yield "d:$key" => (string) count($digits);
        }
        yield from $this->bits;
        $this->bits = [];
    }

    /** A set, and what else was collected under its key. */
    private function with(string $key, Bitmap $set): string
    {
        if (isset($this->bits[$key])) {
            $set = $set->or(Bitmap::ofBytes($this->bits[$key]));
            unset($this->bits[$key]);
        }

        return $set->bytes();
    }

    /** @param  array<Bitmap>  $sets */
    private static function anyOf(array $sets): Bitmap
    {
        return array_reduce($sets, static fn (Bitmap $all, Bitmap $set): Bitmap => $all->or($set), Bitmap::none());
    }

    private function pack(string $key, int $place, int $number, int $width): void
    {
        $this->packed[$key] ??= str_repeat("\0", 4 * $width);
        $bytes = &$this->packed[$key];
        $at = 4 * $place;
        $bytes[$at] = chr($number & 255);
        $bytes[$at + 1] = chr($number >> 8 & 255);
        $bytes[$at + 2] = chr($number >> 16 & 255);
        $bytes[$at + 3] = chr($number >> 24 & 255);
    }

    /** @return array{bool, bool} whether the values of a field are names, and whether they are counted */
    private static function sort(string $key): array
    {
        $field = self::base($key);

        return [$field->isName(), $field->isCounted()];
    }

    /** The field that a key is of (Condition::named). */
    private static function base(string $key): Field
    {
        return Field::from(strstr($key, ':', true) ?: $key);
    }

    private function set(string $key, int $place, int $width): void
    {
        $this->bits[$key] ??= '';
        // By reference, since this is done tens of millions of times.
        $bits = &$this->bits[$key];
        $byte = $place >> 3;
        if (! isset($bits[$byte])) {
            $bits = str_pad($bits, $width >> 3, "\0");
        }
        $bits[$byte] = chr(ord($bits[$byte]) | 1 << ($place & 7));
    }
}
