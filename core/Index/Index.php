<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Closure;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;

/** Answers conditions with sets (rule 12), out of pieces that an Indexer made. */
final class Index
{
    /** Up to so many found, walking over them is quicker than asking value by value. */
    private const WALKED = 35_000;

    /** So few numbers are read one by one. */
    private const FEW = 1500;

    private readonly Pieces $pieces;

    private readonly Layout $layout;

    private readonly Evaluation $evaluation;

    /** Whose numbers on each page were summed up last, and these. */
    private ?Bitmap $summed = null;

    /** @var list<Bitmap> */
    private array $sums = [];

    /** @param  Bitmap|null  $hidden  pages of accounts that changed since, and stand in another index */
    public function __construct(private readonly Store $store, private readonly ?Bitmap $hidden = null)
    {
        $this->pieces = new Pieces($store);
        $this->layout = new Layout($this->pieces);
        $this->evaluation = new Evaluation($this->pieces, $this->layout);
    }

    /**
     * The pages of these accounts.
     *
     * @param  list<int>  $accounts
     */
    public function pagesOf(array $accounts): Bitmap
    {
        return $this->layout->pagesOf($accounts);
    }

    /** How many accounts contacts are at. */
    public function accountsOf(Bitmap $contacts): int
    {
        return $this->layout->accountsOf($contacts);
    }

    /** Whether there is any fact for a condition to be about. */
    public function knows(Field $field): bool
    {
        return match ($field->test()) {
            Comparison::Sets => true,
            Comparison::Parts => $this->store->part(Piece::all($field->parts()[0]->of()), 0, 1) !== '',
            default => $field === Field::Spending
                ? $this->knows(Field::Revenue)
                : $this->store->keys(Piece::of($field->of(), $field->value).':') !== [],
        };
    }

    /**
     * What a field stands for several times: names of attributes, buyer roles.
     *
     * @return list<string>
     */
    public function which(Field $field): array
    {
        $prefix = Piece::of($field->of(), $field->value).':';

        return array_values(array_unique(
            array_map(
                static fn (string $key): string => substr($key, strlen($prefix), -strlen(':known')),
                array_filter(
                    $this->store->keys($prefix),
                    static fn (string $key): bool => str_ends_with($key, ':known')
                        && strlen($key) > strlen($prefix.'known'),
                ),
            ),
        ));
    }

    /** Everybody there is. */
    public function all(Subject $subject): Bitmap
    {
        $all = $this->pieces->set($subject === Subject::Accounts ? Piece::FIRST : Piece::all(Entity::Contact));

        return $this->hidden === null
            ? $all
            : $all->without($subject === Subject::Accounts ? $this->hidden : $this->layout->spread($this->hidden));
    }

    /**
     * @param  int  $today  days since 1970-01-01
     * @param  Closure(string): list<int>  $set  ids of a set that is kept outside: of contacts for "contact:…", else of
     *     accounts; a name after "!" means all others
     */
    public function step(Condition $condition, Subject $subject, int $today, Closure $set): Step
    {
        $field = $condition->field;
        if ($field->test() === Comparison::Sets) {
            $meet = Bitmap::none();
            foreach ($condition->any as $name) {
                $meet = $meet->or($this->ofSet($name, $set(ltrim($name, '!')), $subject));
            }

            return new Step($meet, Bitmap::none(), $condition->exclude, $condition->keepsUnknown);
        }
        [$meet, $known] = $this->evaluation->of($condition, $subject, $today);

        return new Step($meet, $this->all($subject)->without($known), $condition->exclude, $condition->keepsUnknown);
    }

    /**
     * How many have each value of a field in all.
     *
     * @return array<array-key, array{int, int}> value → accounts, contacts; those that most contacts have first
     */
    public function totals(Field $field): array
    {
        /** @var array<array-key, array{int, int}> $totals */
        $totals = json_decode(
            $this->store->get(Piece::totals(Piece::of($field->of(), $field->value))) ?? '[]',
            true,
            flags: JSON_THROW_ON_ERROR,
        );

        return $totals;
    }

    /** How many of those found have a value. */
    public function countOf(Field $field, string $value, Bitmap $result, Subject $subject): int
    {
        $bits = $this->evaluation->ofValue(Piece::of($field->of(), $field->value), $field, $value);
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
        $codes = $result->count() > self::WALKED
            ? null
            : $this->store->get(Piece::codes(Piece::of($field->of(), $field->value)));
        if ($codes === null) {
            return null;
        }
        $counts = [];
        foreach ($this->slices($field, $result, $subject) as $digit => $slice) {
            foreach ($slice->positions() as $page) {
                $code = Pieces::number($codes, $page);
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

    /**
     * The accounts at which most of some contacts are.
     *
     * @return array<int, int> account → how many, the most first
     */
    public function employers(Bitmap $contacts, int $most): array
    {
        return $this->layout->largest($this->perPage($contacts), $most);
    }

    /** @return list<Bitmap> how many of those found a place stands for, in binary digits */
    private function slices(Field $field, Bitmap $result, Subject $subject): array
    {
        return $field->of() === Entity::Account && $subject === Subject::Contacts ? $this->perPage($result) : [$result];
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

        return $this->sums = Slices::sums($contacts, $this->layout->pages);
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
            $ids[] = $this->layout->id($place, $subject);
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
        $count = $result->count();
        $every = max(1, intdiv($count, max(1, $most)));
        $ranks = [];
        for ($rank = 0; $rank < $count && count($ranks) < $most; $rank += $every) {
            $ranks[] = $rank;
        }

        return array_map(fn (int $place): int => $this->layout->id($place, $subject), $result->ranked($ranks));
    }

    /**
     * The first of those in a set, in their order.
     *
     * @return array<int, int> id → what it is ordered by, the highest first
     */
    public function first(Bitmap $result, Subject $subject, int $count): array
    {
        $of = $subject === Subject::Accounts ? Entity::Account : Entity::Contact;
        $within = $result;
        foreach ($this->store->keys(Piece::band($of)) as $key) {
            $band = $result->and($this->pieces->set($key));
            if ($band->count() >= $count) {
                $within = $band;
                break;
            }
        }
        $order = [];
        $few = $within->count() < self::FEW;
        $codes = $few ? '' : $this->pieces->get(Piece::order($of));
        foreach ($within->positions() as $place) {
            $order[$place] = $few
                ? Pieces::number($this->store->part(Piece::order($of), 4 * $place, 4), 0)
                : Pieces::number($codes, $place);
        }
        arsort($order);
        $first = [];
        foreach (array_slice($order, 0, $count, true) as $place => $code) {
            $first[$this->layout->id($place, $subject)] = $code;
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
            return $this->layout->placesOf($ids);
        }
        $pages = $this->layout->pagesOf($ids);

        return $subject === Subject::Contacts ? $this->layout->spread($pages) : $pages;
    }
}
