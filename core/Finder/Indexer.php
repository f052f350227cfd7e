<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

/**
 * Makes the pieces of an index out of records.
 *
 * An account has as many *pages* as it needs for its contacts, LEVELS on each; contact j of a page stands at j · pages + page. So a set of pages
 * becomes the set of all their contacts by repeating it once a level.
 */
final class Indexer
{
    public const LEVELS = 16;

    /** How many stand in the first band. */
    private const BAND = 512;

    /** What things are ordered by is kept as a whole number of 32 bits. */
    private const LIFTED = 2000;

    private const PRECISION = 100_000;

    /** @var array<string, string> key → bits */
    private array $bits = [];

    /** @var array<string, array<int, string>> text field → place → line */
    private array $lines = [];

    /** @var array<int, int> page → account */
    private array $accountOf = [];

    /** @var array<string, array<int, float>> a or c → place → what it is ordered by */
    private array $orders = ['a' => [], 'c' => []];

    /** @var array<int, int> */
    private array $contactAt = [];

    /** @var array<int, list<array{float, float}>> */
    private array $places = [];

    private int $page = 0;

    private readonly int $pages;

    /** @param  iterable<int, int>  $contacts  how many contacts each account has, in the order in which the accounts come */
    public function __construct(iterable $contacts)
    {
        $pages = 0;
        foreach ($contacts as $count) {
            $pages += max(1, intdiv($count + self::LEVELS - 1, self::LEVELS));
        }
        $this->pages = ($pages + 7) & ~7;
    }

    public function add(Record $account): void
    {
        $own = max(1, intdiv(count($account->contacts) + self::LEVELS - 1, self::LEVELS));
        $this->set('a:first', $this->page, $this->pages);
        for ($page = $this->page; $page < $this->page + $own; $page++) {
            $this->accountOf[$page] = $account->id;
            $this->describe('a', $account, $page, $this->pages);
            if ($page === $this->page) {
                $this->orders['a'][$page] = $account->order;
            }
            if ($account->places !== null) {
                $this->places[$page] = $account->places;
            }
        }
        foreach ($account->contacts as $i => $contact) {
            $place = ($i % self::LEVELS) * $this->pages + $this->page + intdiv($i, self::LEVELS);
            $this->set('c:all', $place, self::LEVELS * $this->pages);
            $this->contactAt[$place] = $contact->id;
            $this->describe('c', $contact, $place, self::LEVELS * $this->pages);
            $this->orders['c'][$place] = $contact->order;
        }
        $this->page += $own;
    }

    /** @return array<string, string> key → bytes */
    public function pieces(): array
    {
        $pieces = $this->bits + ['pages' => pack('P', $this->pages), 'accounts' => pack('V*', ...$this->accountOf)];
        ksort($this->contactAt);
        $pieces['contacts'] = $this->contactAt === [] ? '' : pack('V*', ...array_keys($this->contactAt)).pack('V*', ...array_values($this->contactAt));
        foreach ($this->lines as $field => $lines) {
            $places = [];
            foreach ($lines as $place => $line) {
                $places[$line][] = $place;
            }
            $pieces["t:$field"] = implode("\n", array_keys($places));
            $pieces["p:$field"] = implode("\n", array_map(static fn (array $at): string => implode(',', $at), $places));
        }
        $pieces += $this->bands('a', $this->pages) + $this->bands('c', self::LEVELS * $this->pages);
        $pieces['places'] = json_encode($this->places, JSON_THROW_ON_ERROR);

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
        $codes = array_fill(0, $width, 0);
        foreach ($order as $place => $value) {
            $codes[$place] = (int) round(($value + self::LIFTED) * self::PRECISION);
        }

        return $pieces + ["$of:order" => implode('', array_map(static fn (int $code): string => pack('V', $code), $codes))];
    }

    private function describe(string $of, Record $record, int $place, int $width): void
    {
        foreach ($record->values as $field => $values) {
            $this->set("$of:$field:known", $place, $width);
            foreach ($values as $value) {
                $this->set("$of:$field=$value", $place, $width);
            }
        }
        foreach ($record->numbers as $field => $number) {
            $this->set("$of:$field:known", $place, $width);
            for ($digit = 0, $rest = Field::from($field)->scaled($number); $rest > 0; $digit++, $rest >>= 1) {
                if (($rest & 1) === 1) {
                    $this->set("$of:$field#$digit", $place, $width);
                }
            }
        }
        foreach ($record->texts as $field => $line) {
            $this->set("$of:$field:known", $place, $width);
            $this->lines[$field][$place] = $line;
        }
    }

    private function set(string $key, int $place, int $width): void
    {
        $this->bits[$key] ??= str_repeat("\0", $width >> 3);
        $byte = $place >> 3;
        $this->bits[$key][$byte] = chr(ord($this->bits[$key][$byte]) | 1 << ($place & 7));
    }
}
