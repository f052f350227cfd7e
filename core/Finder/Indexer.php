<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

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

    /** @var array<string, array<int, float>> a or c → place → what it is ordered by */
    private array $orders = ['a' => [], 'c' => []];

    /** @var array<int, int> */
    private array $contactAt = [];

    /** @var list<array{float, float, int, bool}> latitude, longitude, page, headquarters */
    private array $places = [];

    /** @var array<string, array<array-key, array{int, int}>> of:field → value → how many accounts and contacts have it */
    private array $totals = [];

    /** @var array<string, array<int, string>> of:field → place → its one value, for fields that never have several */
    private array $single = [];

    /** @var array<string, true> */
    private array $several = [];

    /** @var array<string, int> of:field → how many binary digits its numbers have */
    private array $digits = [];

    /** @var array<string, Field> */
    private array $bases = [];

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
        $this->orders['a'][$this->page] = $account->order;
        foreach ($account->parts ?? [] as $i => $event) {
            $this->describePart('e', $event, ($i % self::EVENTS) * $this->pages + $this->page + intdiv($i, self::EVENTS), self::EVENTS * $this->pages);
        }
        $levels = self::LEVELS * $this->pages;
        foreach ($account->contacts as $i => $contact) {
            $place = ($i % self::LEVELS) * $this->pages + $this->page + intdiv($i, self::LEVELS);
            $this->set('c:all', $place, $levels);
            $this->contactAt[$place] = $contact->id;
            $this->describe('c', $contact, $place, $levels, [0, 1]);
            $this->orders['c'][$place] = $contact->order;
            foreach ($contact->parts ?? [] as $j => $post) {
                $this->describePart('b', $post, $j * $levels + $place, ($j + 1) * $levels);
            }
        }
        $this->page += $own;
    }

    /** @return array<string, string> key → bytes */
    public function pieces(): array
    {
        $pieces = $this->bits + ['pages' => pack('P', $this->pages), 'accounts' => pack('V*', ...$this->accountOf)];
        $pieces['c:ids'] = $this->packed($this->contactAt, self::LEVELS * $this->pages);
        asort($this->contactAt);
        $pieces['by id'] = implode('', array_map(static fn (int $id): string => pack('V', $id), $this->contactAt));
        $pieces['places by id'] = implode('', array_map(static fn (int $place): string => pack('V', $place), array_keys($this->contactAt)));
        foreach ($this->digits as $field => $count) {
            $pieces["d:$field"] = (string) $count;
        }
        foreach ($this->totals as $field => $totals) {
            uasort($totals, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
            $pieces["n:$field"] = json_encode($totals, JSON_THROW_ON_ERROR);
            if (count($totals) > self::MANY && isset($this->single[$field])) {
                $number = array_flip(array_keys($totals));
                $pieces["k:$field"] = $this->packed(array_map(static fn (int|string $value): int => $number[$value] + 1, $this->single[$field]), str_starts_with($field, 'a:') ? $this->pages : self::LEVELS * $this->pages);
            }
        }
        foreach ($this->lines as $field => $lines) {
            $pieces += $lines->pieces($field);
        }
        $pieces += $this->bands('a', $this->pages) + $this->bands('c', self::LEVELS * $this->pages);
        // By latitude, so that those near a place are a stretch.
        sort($this->places);
        $pieces['places'] = implode('', array_map(static fn (array $place): string => pack('eeVV', $place[0], $place[1], $place[2], $place[3] ? 1 : 0), $this->places));

        return $pieces;
    }

    /**
     * Bands of growing size of those who come first, so that a first page is found without looking at all; and what each is ordered by.
     *
     * @return array<string, string>
     */
    private function bands(string $of, int $width): array
    {
        $order = $this->orders[$of];
        arsort($order);
        $places = array_keys($order);
        $pieces = [];
        for ($size = self::BAND, $number = 0; $places !== []; $size *= 8, $number++) {
            $pieces["$of:band#$number"] = Bitmap::of(array_slice($places, 0, $size))->bytes($width >> 3);
            if ($size >= count($places)) {
                break;
            }
        }

        return $pieces + ["$of:order" => $this->packed(array_map(static fn (float $value): int => (int) round(($value + self::LIFTED) * self::PRECISION), $order), $width)];
    }

    /** @param  array{int, int}  $counts  as how many accounts and contacts it counts */
    private function describe(string $of, Record $record, int $place, int $width, array $counts): void
    {
        foreach ($record->values as $field => $values) {
            $this->set("$of:$field:known", $place, $width);
            if (count($values) > 1) {
                $this->several["$of:$field"] = true;
                unset($this->single["$of:$field"]);
            } elseif ($of === 'a' && $values !== [] && $this->base($field)->isCounted() && ! isset($this->several["$of:$field"])) {
                $this->single["$of:$field"][$place] = $values[0];
            }
            $base = $this->base($field);
            foreach ($values as $value) {
                if ($base->isName()) {
                    ($this->lines["v:$of:$field"] ??= new Lines)->add(strtr($value, "\n", ' '), $place);
                } else {
                    $this->set("$of:$field=$value", $place, $width);
                }
                if (! $base->isCounted()) {
                    continue;
                }
                $this->totals["$of:$field"][$value] ??= [0, 0];
                $total = &$this->totals["$of:$field"][$value];
                $total[0] += $counts[0];
                $total[1] += $counts[1];
            }
        }
        $this->describeNumbersAndTexts($of, $record, $place, $width);
        if ($record->parts !== null) {
            $this->set("$of:parts:known", $place, $width);
        }
    }

    /** A signal or a post, of which nothing is counted. */
    private function describePart(string $of, Record $record, int $place, int $width): void
    {
        $this->set("$of:all", $place, $width);
        foreach ($record->values as $field => $values) {
            $this->set("$of:$field:known", $place, $width);
            foreach ($values as $value) {
                $this->set("$of:$field=$value", $place, $width);
            }
        }
        $this->describeNumbersAndTexts($of, $record, $place, $width);
    }

    private function describeNumbersAndTexts(string $of, Record $record, int $place, int $width): void
    {
        foreach ($record->numbers as $field => $number) {
            $this->set("$of:$field:known", $place, $width);
            for ($digit = 0, $rest = $this->base($field)->scaled($number); $rest > 0; $digit++, $rest >>= 1) {
                if (($rest & 1) === 1) {
                    $this->set("$of:$field#$digit", $place, $width);
                }
            }
            $this->digits["$of:$field"] = max($this->digits["$of:$field"] ?? 0, $digit);
        }
        foreach ($record->texts as $field => $line) {
            $this->set("$of:$field:known", $place, $width);
            ($this->lines[$field] ??= new Lines)->add($line, $place);
        }
    }

    /**
     * Numbers at their places, four bytes each.
     *
     * @param  array<int, int>  $numbers
     */
    private function packed(array $numbers, int $width): string
    {
        $bytes = str_repeat("\0\0\0\0", $width);
        foreach ($numbers as $place => $number) {
            $four = pack('V', $number);
            $bytes[4 * $place] = $four[0];
            $bytes[4 * $place + 1] = $four[1];
            $bytes[4 * $place + 2] = $four[2];
            $bytes[4 * $place + 3] = $four[3];
        }

        return $bytes;
    }

    /** The field that a key is of (Condition::named). */
    private function base(string $key): Field
    {
        return $this->bases[$key] ??= Field::from(strstr($key, ':', true) ?: $key);
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
