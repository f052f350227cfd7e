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

    /** So few accounts are looked for one by one. */
    private const SOUGHT = 1000;

    /** So few numbers are read one by one. */
    private const FEW = 1500;

    /** Bytes of lines that are read at once. */
    private const CHUNK = 1 << 20;

    /** Bytes of a place: latitude, longitude, page, headquarters. */
    private const PLACE = 24;

    /** Degrees of latitude in a km, a little more than there are. */
    private const DEGREES = 1 / 111.0;

    private readonly int $pages;

    /** @var array<string, Bitmap> */
    private array $read = [];

    /** @var array<string, array<array-key, list<int>>> */
    private array $spellings = [];

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
        $pages = [];
        if (count($accounts) < self::SOUGHT) {
            $ids = $this->store->get('accounts') ?? '';
            foreach ($accounts as $account) {
                for ($page = self::lowest($ids, $account); 4 * $page < strlen($ids) && self::number($ids, $page) === $account; $page++) {
                    $pages[] = $page;
                }
            }

            return Bitmap::of($pages);
        }
        $wanted = array_fill_keys($accounts, true);
        foreach ($this->accounts() as $page => $id) {
            if (isset($wanted[$id])) {
                $pages[] = $page;
            }
        }

        return Bitmap::of($pages);
    }

    /** Whether there is any fact for a condition to be about. */
    public function knows(Field $field): bool
    {
        return match ($field->test()) {
            Test::Sets => true,
            Test::Parts => $this->store->part(($field === Field::Event ? 'e' : 'b').':all', 0, 1) !== '',
            default => $field === Field::Spending ? $this->knows(Field::Revenue) : $this->store->keys("{$field->of()->value}:{$field->value}:") !== [],
        };
    }

    /**
     * What a field stands for several times: names of attributes, buyer roles.
     *
     * @return list<string>
     */
    public function which(Field $field): array
    {
        $prefix = "{$field->of()->value}:{$field->value}:";

        return array_values(array_unique(array_map(static fn (string $key): string => substr($key, strlen($prefix), -strlen(':known')), array_filter($this->store->keys($prefix), static fn (string $key): bool => str_ends_with($key, ':known') && strlen($key) > strlen($prefix.'known')))));
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
        if ($field->test() === Test::Sets) {
            $meet = Bitmap::none();
            foreach ($condition->any as $name) {
                $meet = $meet->or($this->ofSet($name, $set(ltrim($name, '!')), $subject));
            }

            return new Step($meet, Bitmap::none(), $condition->exclude, $condition->keepsUnknown);
        }
        [$meet, $known] = match ($field->test()) {
            Test::Parts => $this->together($condition, $today),
            Test::Near => $this->near($condition),
            default => $this->one($field->of(), $condition, $today),
        };
        if ($field->of() === Of::Account && $subject === Subject::Contacts) {
            [$meet, $known] = [$this->spread($meet), $this->spread($known)];
        }

        return new Step($meet, $this->all($subject)->without($known), $condition->exclude, $condition->keepsUnknown);
    }

    /** @return array{Bitmap, Bitmap} who meets a condition, and of whom it is known */
    private function one(Of $of, Condition $condition, int $today): array
    {
        $key = "{$of->value}:{$condition->key}";
        $known = $this->piece("$key:known");

        return [match ($condition->field->test()) {
            Test::Range => $this->inRange($key, $condition, $known, $today),
            Test::Query => $this->found($key, $condition, $known),
            default => $this->having($key, $condition),
        }, $known];
    }

    private function having(string $key, Condition $condition): Bitmap
    {
        $sets = array_map(fn (string $value): Bitmap => $this->ofValue($key, $condition->field, $value), $condition->any);

        return array_reduce(array_slice($sets, 1), fn (Bitmap $all, Bitmap $one): Bitmap => $condition->all ? $all->and($one) : $all->or($one), $sets[0] ?? Bitmap::none());
    }

    private function ofValue(string $key, Field $field, string $value): Bitmap
    {
        return $field->isName() ? $this->havingLine("v:$key", $this->spellings($key)[mb_strtolower($value)] ?? []) : $this->piece("$key=$value");
    }

    /** @return array<array-key, list<int>> names in small letters → the lines where they stand as somebody wrote them */
    private function spellings(string $key): array
    {
        if (! isset($this->spellings[$key])) {
            $this->spellings[$key] = [];
            foreach ($this->lines("t:v:$key") as $i => $name) {
                $this->spellings[$key][mb_strtolower($name)][] = $i;
            }
        }

        return $this->spellings[$key];
    }

    /**
     * Those with a signal, or a post before, of which all parts hold; not known where one would, were the unknown of it so.
     *
     * @return array{Bitmap, Bitmap} who meets it, and of whom it is known
     */
    private function together(Condition $condition, int $today): array
    {
        $of = $condition->field === Field::Event ? Of::Event : Of::PostBefore;
        $sure = $maybe = $items = $this->piece("{$of->value}:all");
        foreach ($condition->parts as $part) {
            [$meet, $known] = $this->one($of, $part, $today);
            $sure = $sure->and($meet);
            $maybe = $maybe->and($meet->or($items->without($known)));
        }
        $meet = $this->owners($of, $sure, $condition->times);
        $open = $this->owners($of, $maybe, $condition->times)->without($meet);

        return [$meet, $this->piece($condition->field->of()->value.':parts:known')->without($open)];
    }

    /** The accounts, or contacts, that have so many of these signals, or posts. */
    private function owners(Of $of, Bitmap $items, int $times): Bitmap
    {
        if ($of === Of::PostBefore) {
            return (new Slices(self::sums($items, Indexer::LEVELS * $this->pages)))->atLeast($times, $this->piece('c:all'));
        }
        $digits = self::sums($items, $this->pages);
        $any = array_reduce($digits, static fn (Bitmap $all, Bitmap $digit): Bitmap => $all->or($digit), Bitmap::none());
        $found = $times === 1 ? $any : (new Slices($digits))->atLeast($times, $any);
        // What stands on one page of an account is true of all its pages, and is summed over them.
        $accounts = $this->accounts();
        $counts = [];
        foreach ($any->and($this->piece('a:several'))->positions() as $page) {
            $counts[$accounts[$page]] ??= [$page, 0];
            foreach ($digits as $digit => $set) {
                $counts[$accounts[$page]][1] += $set->has($page) ? 1 << $digit : 0;
            }
        }
        $more = $less = [];
        foreach ($counts as $account => [$page, $count]) {
            for ($first = $page; $first > 0 && $accounts[$first - 1] === $account; $first--);
            for ($page = $first; ($accounts[$page] ?? null) === $account; $page++) {
                $count >= $times ? $more[] = $page : $less[] = $page;
            }
        }

        return $found->without(Bitmap::of($less))->or(Bitmap::of($more));
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
     * How many have each value of a field in all.
     *
     * @return array<array-key, array{int, int}> value → accounts, contacts; those that most contacts have first
     */
    public function totals(Field $field): array
    {
        return json_decode($this->store->get("n:{$field->of()->value}:{$field->value}") ?? '[]', true, flags: JSON_THROW_ON_ERROR);
    }

    /** How many of those found have a value. */
    public function countOf(Field $field, string $value, Bitmap $result, Subject $subject): int
    {
        $bits = $this->ofValue("{$field->of()->value}:{$field->value}", $field, $value);
        $count = 0;
        foreach ($this->slices($field, $result, $subject) as $digit => $slice) {
            $count += $slice->countWith($bits) << $digit;
        }

        return $count;
    }

    /**
     * Counts of all values by looking at the value of each page, where there are many values and few found.
     *
     * @param  list<int|string>  $values  in the order of totals()
     * @return array<int|string, int>|null null: that is not the quicker way
     */
    public function walked(Field $field, array $values, Bitmap $result, Subject $subject): ?array
    {
        $codes = $result->count() > self::WALKED ? null : $this->store->get("k:{$field->of()->value}:{$field->value}");
        if ($codes === null) {
            return null;
        }
        $counts = [];
        foreach ($this->slices($field, $result, $subject) as $digit => $slice) {
            foreach ($slice->positions() as $page) {
                $code = self::number($codes, $page);
                $counts[$code] = ($counts[$code] ?? 0) + (1 << $digit);
            }
        }
        unset($counts[0]);
        $named = [];
        foreach ($counts as $code => $count) {
            $named[$values[$code - 1] ?? ''] = $count;
        }

        return $named;
    }

    /** @return list<Bitmap> how many of those found a place stands for, in binary digits */
    private function slices(Field $field, Bitmap $result, Subject $subject): array
    {
        return $field->of() === Of::Account && $subject === Subject::Contacts ? $this->perPage($result) : [$result];
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
        $this->summed = $contacts;

        return $this->sums = self::sums($contacts, $this->pages);
    }

    /**
     * How often each place of a stretch is in a set, in binary digits.
     *
     * @return list<Bitmap> the lowest digit first
     */
    private static function sums(Bitmap $set, int $width): array
    {
        $digits = [];
        foreach ($set->stretches($width) as $carry) {
            for ($digit = 0; ! $carry->isEmpty(); $digit++) {
                $before = $digits[$digit] ?? Bitmap::none();
                $digits[$digit] = $before->or($carry)->without($before->and($carry));
                $carry = $before->and($carry);
            }
        }

        return array_values($digits);
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
     * So many of a set, spread evenly over it.
     *
     * @return list<int> ids
     */
    public function evenly(Bitmap $result, Subject $subject, int $most): array
    {
        $every = max(1, intdiv($result->count(), max(1, $most)));
        $ids = [];
        $number = 0;
        foreach ($result->positions() as $place) {
            if ($number++ % $every === 0 && count($ids) < $most) {
                $ids[] = $this->id($place, $subject);
            }
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
            $order[$place] = $few ? self::number($this->store->part("$of:order", 4 * $place, 4), 0) : self::number($codes, $place);
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

    private function inRange(string $key, Condition $condition, Bitmap $known, int $today): Bitmap
    {
        $field = $condition->field;
        $digits = [];
        for ($i = 0, $count = (int) $this->store->get("d:$key"); $i < $count; $i++) {
            $digits[] = $this->piece("$key#$i");
        }
        [$low, $high] = [$condition->low, $condition->high];
        if ($field->countsBack()) {
            // A few months in the post is a day not long ago.
            [$low, $high] = [$high === null ? null : $today - $high, $low === null ? null : $today - $low];
        }

        return (new Slices($digits))->between($low === null ? null : $field->scaled($low) + 1, $high === null ? null : $field->scaled($high) + 1, $known);
    }

    private function found(string $key, Condition $condition, Bitmap $known): Bitmap
    {
        $field = $condition->field->value;
        if ($condition->query === null) {
            return Bitmap::none();
        }
        $matching = $others = [];
        foreach ($this->lines("t:$field") as $i => $line) {
            if ($condition->query->matchesLine($line)) {
                $matching[] = $i;
            } else {
                $others[] = $i;
            }
        }

        return count($matching) <= count($others) ? $this->havingLine($field, $matching) : $known->without($this->havingLine($field, $others));
    }

    /** @return iterable<int, string> the lines of a piece, a part of it at a time */
    private function lines(string $key): iterable
    {
        $rest = null;
        $number = 0;
        for ($offset = 0; ($chunk = $this->store->part($key, $offset, self::CHUNK)) !== ''; $offset += strlen($chunk)) {
            $lines = explode("\n", $rest.$chunk);
            $rest = array_pop($lines);
            foreach ($lines as $line) {
                yield $number++ => $line;
            }
        }
        if ($rest !== null) {
            yield $number => $rest;
        }
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

    /** @return array{Bitmap, Bitmap} which pages have a place near enough, and which have a place at all */
    private function near(Condition $condition): array
    {
        [$latitude, $longitude] = $condition->of ?? [0.0, 0.0];
        $centre = new Coordinates($latitude, $longitude);
        $places = $this->store->get('places') ?? '';
        $anySite = $condition->which === 'any';
        $found = [];
        for ($end = strlen($places), $offset = self::PLACE * self::fromLatitude($places, $latitude - $condition->km * self::DEGREES); $offset < $end; $offset += self::PLACE) {
            /** @var array{lat: float, lon: float, page: int, seat: int} $place */
            $place = unpack('elat/elon/Vpage/Vseat', $places, $offset);
            if ($place['lat'] > $latitude + $condition->km * self::DEGREES) {
                break;
            }
            if (($anySite || $place['seat'] === 1) && $centre->distanceTo(new Coordinates($place['lat'], $place['lon'])) <= $condition->km) {
                $found[] = $place['page'];
            }
        }

        return [Bitmap::of($found), $this->piece("a:{$condition->key}:known")];
    }

    /** The number of the first place so far north. */
    private static function fromLatitude(string $places, float $latitude): int
    {
        [$low, $high] = [0, intdiv(strlen($places), self::PLACE)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ((unpack('e', $places, self::PLACE * $middle)[1] ?? 0) < $latitude) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
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

    /** @return array<int, int> */
    private function accounts(): array
    {
        return $this->accounts ??= array_values(unpack('V*', $this->store->get('accounts') ?? '') ?: []);
    }

    private function id(int $place, Subject $subject): int
    {
        return $subject === Subject::Accounts ? $this->accounts()[$place] : self::number($this->store->part('c:ids', 4 * $place, 4), 0);
    }

    /** Where a contact stands; −1: not here. */
    private function placeOf(int $id): int
    {
        $ids = $this->sorted ??= $this->store->get('by id') ?? '';
        $at = self::lowest($ids, $id);

        return 4 * $at < strlen($ids) && self::number($ids, $at) === $id ? self::number($this->places ??= $this->store->get('places by id') ?? '', $at) : -1;
    }

    /** Where, of ascending numbers of four bytes each, the first stands that is not below a number. */
    private static function lowest(string $numbers, int $number): int
    {
        [$low, $high] = [0, intdiv(strlen($numbers), 4)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if (self::number($numbers, $middle) < $number) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** The number of four bytes at a place. */
    private static function number(string $bytes, int $place): int
    {
        $at = 4 * $place;

        return ord($bytes[$at]) | ord($bytes[$at + 1]) << 8 | ord($bytes[$at + 2]) << 16 | ord($bytes[$at + 3]) << 24;
    }
}
