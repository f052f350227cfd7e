<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

use Closure;
use Luftig\Core\Geo\Coordinates;

/** Answers conditions with sets (rule 12), out of pieces that an Indexer made. */
final class Index
{
    private readonly int $pages;

    /** @var array<string, Bitmap> */
    private array $read = [];

    /** @var array<int, int>|null place of a contact → id */
    private ?array $contacts = null;

    /** @var array<int, int>|null page → account */
    private ?array $accounts = null;

    /** @param  Bitmap|null  $hidden  pages of accounts that changed since, and stand in another index */
    public function __construct(private readonly Store $store, private readonly ?Bitmap $hidden = null)
    {
        /** @var array{1: int} $pages */
        $pages = unpack('P', $store->get('pages') ?? pack('P', 0));
        $this->pages = $pages[1];
    }

    /** The pages of these accounts. */
    public function pagesOf(int ...$accounts): Bitmap
    {
        return Bitmap::of(array_keys(array_intersect($this->accounts(), $accounts)));
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
        $pages = Bitmap::none();
        for ($level = 0; $level < Indexer::LEVELS; $level++) {
            $pages = $pages->or($contacts->stretch($level * $this->pages, $this->pages));
        }
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
     * How many have each value of a field.
     *
     * @return array<string, int> the most frequent first
     */
    public function counts(Field $field, Bitmap $result, Subject $subject): array
    {
        $of = $field->isOfContact() ? 'c' : 'a';
        $prefix = "$of:{$field->value}=";
        $counts = [];
        foreach ($this->store->keys($prefix) as $key) {
            $bits = $this->piece($key);
            $count = $result->countWith($of === 'a' && $subject === Subject::Contacts ? $this->spread($bits) : $bits);
            if ($count > 0) {
                $counts[substr($key, strlen($prefix))] = $count;
            }
        }
        arsort($counts);

        return $counts;
    }

    /**
     * The ids of those in a set.
     *
     * @return list<int>
     */
    public function ids(Bitmap $result, Subject $subject): array
    {
        $at = $subject === Subject::Accounts ? $this->accounts() : $this->contacts();
        $ids = [];
        foreach ($result->positions() as $place) {
            $ids[] = $at[$place];
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
        $codes = $this->store->get("$of:order") ?? '';
        $order = [];
        foreach ($within->positions() as $place) {
            $order[$place] = ord($codes[4 * $place]) | ord($codes[4 * $place + 1]) << 8 | ord($codes[4 * $place + 2]) << 16 | ord($codes[4 * $place + 3]) << 24;
        }
        arsort($order);
        $at = $of === 'a' ? $this->accounts() : $this->contacts();
        $first = [];
        foreach (array_slice($order, 0, $count, true) as $place => $code) {
            $first[$at[$place]] = $code;
        }

        return $first;
    }

    /** @param  list<int>  $ids */
    private function ofSet(string $name, array $ids, Subject $subject): Bitmap
    {
        if (str_starts_with($name, '!')) {
            return $this->all($subject)->without($this->ofSet(substr($name, 1), $ids, $subject));
        }
        $wanted = array_fill_keys($ids, true);
        if (str_starts_with($name, 'contact:')) {
            return Bitmap::of(array_keys(array_filter($this->contacts(), static fn (int $id): bool => isset($wanted[$id]))));
        }
        $pages = Bitmap::of(array_keys(array_filter($this->accounts(), static fn (int $id): bool => isset($wanted[$id]))));

        return $subject === Subject::Contacts ? $this->spread($pages) : $pages;
    }

    private function inRange(string $of, Condition $condition, Bitmap $known, int $today): Bitmap
    {
        $field = $condition->field;
        $digits = [];
        for ($i = 0; $i < 40; $i++) {
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
        $lines = $this->store->get("t:{$condition->field->value}");
        if ($lines === null || $condition->query === null) {
            return Bitmap::none();
        }
        $places = explode("\n", (string) $this->store->get("p:{$condition->field->value}"));
        $found = [];
        foreach (explode("\n", $lines) as $i => $line) {
            if ($condition->query->matchesLine($line)) {
                array_push($found, ...array_map(intval(...), explode(',', $places[$i])));
            }
        }

        return Bitmap::of($found);
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

    /** @return array<int, int> */
    private function contacts(): array
    {
        if ($this->contacts === null) {
            $all = array_values(unpack('V*', $this->store->get('contacts') ?? '') ?: []);
            $half = intdiv(count($all), 2);
            $this->contacts = $half === 0 ? [] : array_combine(array_slice($all, 0, $half), array_slice($all, $half));
        }

        return $this->contacts;
    }
}
