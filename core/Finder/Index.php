<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

use Closure;
use Luftig\Core\Geo\Coordinates;

/** Answers conditions with sets (rule 12), out of pieces that an Indexer made. */
final class Index
{
    /** Up to so many found, walking over them is quicker than asking value by value. */
    private const WALKED = 35_000;

    /** So few numbers are read one by one. */
    private const FEW = 1500;

    private readonly int $pages;

    /** @var array<string, Bitmap> */
    private array $read = [];

    /** Ids of contacts in their order, and their places in that order: four bytes each. */
    private ?string $sorted = null;

    private ?string $places = null;

    /** Whose numbers on each page were summed up last, and these. */
    private ?Bitmap $summed = null;

    /** @var list<Bitmap> */
    private array $sums = [];

    /** @var array<int, int>|null page → account */
    private ?array $accounts = null;

    /** @param  Bitmap|null  $hidden  pages of accounts that changed since, and stand in another index */
    public function __construct(private readonly Store $store, private readonly ?Bitmap $hidden = null)
    {
        /** @var array{1: int} $pages */
        $pages = unpack('P', $store->get('pages') ?? pack('P', 0));
        $this->pages = $pages[1];
    }

    /**
     * The pages of these accounts.
     *
     * @param  list<int>  $accounts
     */
    public function pagesOf(array $accounts): Bitmap
    {
        $wanted = array_fill_keys($accounts, true);
        $pages = [];
        foreach ($this->accounts() as $page => $id) {
            if (isset($wanted[$id])) {
                $pages[] = $page;
            }
        }

        return Bitmap::of($pages);
    }

    /** Everybody there is. */
    public function all(Subject $subject): Bitmap
    {
        $all = $this->piece($subject === Subject::Accounts ? 'a:first' : 'c:all');

        return $this->hidden === null ? $all : $all->without($subject === Subject::Accounts ? $this->hidden : $this->spread($this->hidden));
    }

    /**
     * @param  int  $today  days since 1970-01-01
     * @param  Closure(string): list<int>  $set  ids of a set that is kept outside: of contacts for "contact:…", else of accounts; a name after "!" means all others
     */
    public function step(Condition $condition, Subject $subject, int $today, Closure $set): Step
    {
        $field = $condition->field;
        $of = $field->isOfContact() ? 'c' : 'a';
        if ($field->test() === Test::Sets) {
            $meet = Bitmap::none();
            foreach ($condition->any as $name) {
                $meet = $meet->or($this->ofSet($name, $set(ltrim($name, '!')), $subject));
            }

            return new Step($meet, Bitmap::none(), $condition->exclude, $condition->keepsUnknown);
        }
        $known = $this->piece("$of:{$field->value}:known");
        $meet = match ($field->test()) {
            Test::Any => array_reduce($condition->any, fn (Bitmap $all, string $value): Bitmap => $all->or($this->piece("$of:{$field->value}=$value")), Bitmap::none()),
            Test::Range => $this->inRange($of, $condition, $known, $today),
            Test::Query => $this->found($condition),
            default => $this->near($condition),
        };
        if ($field === Field::Near) {
            $known = Bitmap::of(array_keys($this->places()));
        }
        if ($of === 'a' && $subject === Subject::Contacts) {
            [$meet, $known] = [$this->spread($meet), $this->spread($known)];
        }

        return new Step($meet, $this->all($subject)->without($known), $condition->exclude, $condition->keepsUnknown);
    }

    /** How many accounts contacts are at. */
    public function accountsOf(Bitmap $contacts): int
    {
        $pages = array_reduce($contacts->stretches($this->pages), static fn (Bitmap $all, Bitmap $level): Bitmap => $all->or($level), Bitmap::none());
        $first = $this->piece('a:first');
        $ids = [];
        foreach ($pages->without($first)->positions() as $page) {
            $ids[$this->accounts()[$page]] = true;
        }
        // Pages after the first count unless the first of their account counts already.
        foreach ($ids === [] ? [] : $pages->and($first)->positions() as $page) {
            unset($ids[$this->accounts()[$page]]);
        }

        return $pages->countWith($first) + count($ids);
    }

    /**
     * The most frequent values of a field among those found.
     *
     * @param  int  $most  how many values
     * @param  Closure(string): bool|null  $only  which values are of interest
     * @return array<string, int> the most frequent first
     */
    public function counts(Field $field, Bitmap $result, Subject $subject, int $most = PHP_INT_MAX, ?Closure $only = null): array
    {
        $of = $field->isOfContact() ? 'c' : 'a';
        $slices = $of === 'a' && $subject === Subject::Contacts ? $this->perPage($result) : [$result];
        $counts = [];
        $least = 0;
        $totals = json_decode($this->store->get("n:$of:{$field->value}") ?? '[]', true);
        $codes = $this->store->get("k:$of:{$field->value}");
        if ($codes !== null && $result->count() <= self::WALKED) {
            return $this->walked($codes, array_keys($totals), $slices, $most, $only);
        }
        foreach ($totals as $value => [$accounts, $contacts]) {
            // No value can have more here than it has in all; they come by that number.
            if (count($counts) >= $most && $contacts < $least) {
                break;
            }
            if ($only !== null && ! $only((string) $value)) {
                continue;
            }
            $bits = $this->piece("$of:{$field->value}=$value");
            $count = 0;
            foreach ($slices as $digit => $slice) {
                $count += $slice->countWith($bits) << $digit;
            }
            if ($count > 0) {
                $counts[(string) $value] = $count;
                if (count($counts) >= $most && $count > $least && $subject === Subject::Contacts) {
                    arsort($counts);
                    $least = array_values($counts)[$most - 1];
                }
            }
        }
        arsort($counts);

        return array_slice($counts, 0, $most, true);
    }

    /**
     * Counts by looking at the value of each page, where there are many values and few pages.
     *
     * @param  list<int|string>  $values
     * @param  list<Bitmap>  $slices
     * @param  Closure(string): bool|null  $only
     * @return array<string, int>
     */
    private function walked(string $codes, array $values, array $slices, int $most, ?Closure $only): array
    {
        $counts = [];
        foreach ($slices as $digit => $slice) {
            foreach ($slice->positions() as $page) {
                $code = self::number($codes, $page);
                $counts[$code] = ($counts[$code] ?? 0) + (1 << $digit);
            }
        }
        unset($counts[0]);
        $named = [];
        foreach ($counts as $code => $count) {
            $value = (string) ($values[$code - 1] ?? '');
            if ($only === null || $only($value)) {
                $named[$value] = $count;
            }
        }
        arsort($named);

        return array_slice($named, 0, $most, true);
    }

    /**
     * How many contacts of a set are on each page, as a number in binary digits: one set a digit.
     *
     * @return list<Bitmap> the lowest digit first
     */
    private function perPage(Bitmap $contacts): array
    {
        if ($this->summed === $contacts) {
            return $this->sums;
        }
        $digits = [];
        foreach ($contacts->stretches($this->pages) as $carry) {
            for ($digit = 0; ! $carry->isEmpty(); $digit++) {
                $before = $digits[$digit] ?? Bitmap::none();
                $digits[$digit] = $before->or($carry)->without($before->and($carry));
                $carry = $before->and($carry);
            }
        }

        $this->summed = $contacts;

        return $this->sums = array_values($digits);
    }

    /**
     * The ids of those in a set.
     *
     * @return list<int>
     */
    public function ids(Bitmap $result, Subject $subject): array
    {
        $ids = [];
        foreach ($result->positions() as $place) {
            $ids[] = $this->id($place, $subject);
        }

        return $ids;
    }

    /**
     * The first of those in a set, in their order.
     *
     * @return array<int, int> id → what it is ordered by, the highest first
     */
    public function first(Bitmap $result, Subject $subject, int $count): array
    {
        $of = $subject === Subject::Accounts ? 'a' : 'c';
        $within = $result;
        foreach ($this->store->keys("$of:band#") as $key) {
            $band = $result->and($this->piece($key));
            if ($band->count() >= $count) {
                $within = $band;
                break;
            }
        }
        $order = [];
        $few = $within->count() < self::FEW;
        $codes = $few ? '' : $this->store->get("$of:order") ?? '';
        foreach ($within->positions() as $place) {
            $order[$place] = $few ? $this->store->number("$of:order", $place) : self::number($codes, $place);
        }
        arsort($order);
        $first = [];
        foreach (array_slice($order, 0, $count, true) as $place => $code) {
            $first[$this->id($place, $subject)] = $code;
        }

        return $first;
    }

    /** @param  list<int>  $ids */
    private function ofSet(string $name, array $ids, Subject $subject): Bitmap
    {
        if (str_starts_with($name, '!')) {
            return $this->all($subject)->without($this->ofSet(substr($name, 1), $ids, $subject));
        }
        if (str_starts_with($name, 'contact:')) {
            return Bitmap::of(array_filter(array_map($this->placeOf(...), $ids), static fn (int $place): bool => $place >= 0));
        }
        $pages = $this->pagesOf($ids);

        return $subject === Subject::Contacts ? $this->spread($pages) : $pages;
    }

    private function inRange(string $of, Condition $condition, Bitmap $known, int $today): Bitmap
    {
        $field = $condition->field;
        $digits = [];
        for ($i = 0, $count = (int) $this->store->get("d:$of:{$field->value}"); $i < $count; $i++) {
            $digits[] = $this->piece("$of:{$field->value}#$i");
        }
        [$low, $high] = [$condition->low, $condition->high];
        if ($field->countsBack()) {
            // A few months in the post is a day not long ago.
            [$low, $high] = [$high === null ? null : $today - $high, $low === null ? null : $today - $low];
        }

        return (new Slices($digits))->between($low === null ? null : $field->scaled($low), $high === null ? null : $field->scaled($high), $known);
    }

    private function found(Condition $condition): Bitmap
    {
        $field = $condition->field->value;
        $lines = $this->store->get("t:$field");
        if ($lines === null || $condition->query === null) {
            return Bitmap::none();
        }
        $matching = $others = [];
        foreach (explode("\n", $lines) as $i => $line) {
            if ($condition->query->matchesLine($line)) {
                $matching[] = $i;
            } else {
                $others[] = $i;
            }
        }
        if (count($matching) <= count($others)) {
            return $this->havingLine($field, $matching);
        }

        return $this->piece(($condition->field->isOfContact() ? 'c' : 'a').":$field:known")->without($this->havingLine($field, $others));
    }

    /** @param  list<int>  $lines  numbers of lines */
    private function havingLine(string $field, array $lines): Bitmap
    {
        $starts = $this->store->get("o:$field") ?? '';
        $numbers = $this->store->get("p:$field") ?? '';
        $found = Bitmap::none();
        $rest = '';
        foreach ($lines as $i) {
            [$from, $to] = [self::number($starts, $i), self::number($starts, $i + 1)];
            if ($from === $to) {
                $found = $found->or($this->piece("l:$field#$i"));
            } else {
                $rest .= substr($numbers, 4 * $from, 4 * ($to - $from));
            }
        }

        return $rest === '' ? $found : $found->or(Bitmap::of(unpack('V*', $rest) ?: []));
    }

    private function near(Condition $condition): Bitmap
    {
        $centre = new Coordinates(...$condition->of ?? [0.0, 0.0]);
        $found = [];
        foreach ($this->places() as $page => $sites) {
            foreach ($sites as [$latitude, $longitude]) {
                if ($centre->distanceTo(new Coordinates($latitude, $longitude)) <= $condition->km) {
                    $found[] = $page;
                    break;
                }
            }
        }

        return Bitmap::of($found);
    }

    /** All contacts on these pages. */
    private function spread(Bitmap $pages): Bitmap
    {
        return $pages->isEmpty() ? $pages : $pages->repeated(Indexer::LEVELS, $this->pages)->and($this->piece('c:all'));
    }

    private function piece(string $key): Bitmap
    {
        return $this->read[$key] ??= Bitmap::ofBytes($this->store->get($key) ?? '');
    }

    /** @return array<int, list<array{float, float}>> */
    private function places(): array
    {
        return json_decode($this->store->get('places') ?? '[]', true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array<int, int> */
    private function accounts(): array
    {
        return $this->accounts ??= array_values(unpack('V*', $this->store->get('accounts') ?? '') ?: []);
    }

    private function id(int $place, Subject $subject): int
    {
        return $subject === Subject::Accounts ? $this->accounts()[$place] : $this->store->number('c:ids', $place);
    }

    /** Where a contact stands; −1: not here. */
    private function placeOf(int $id): int
    {
        $ids = $this->sorted ??= $this->store->get('by id') ?? '';
        [$low, $high] = [0, intdiv(strlen($ids), 4) - 1];
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $there = self::number($ids, $middle);
            if ($there === $id) {
                return self::number($this->places ??= $this->store->get('places by id') ?? '', $middle);
            }
            $there < $id ? $low = $middle + 1 : $high = $middle - 1;
        }

        return -1;
    }

    /** The number of four bytes at a place. */
    private static function number(string $bytes, int $place): int
    {
        $at = 4 * $place;

        return ord($bytes[$at]) | ord($bytes[$at + 1]) << 8 | ord($bytes[$at + 2]) << 16 | ord($bytes[$at + 3]) << 24;
    }
}
