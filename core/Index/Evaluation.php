<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;

/** Who meets a condition on facts, and of whom it is known (rule 12). */
final class Evaluation
{
    /** Bytes of a place: latitude, longitude, page, headquarters. */
    private const PLACE = 24;

    /** Degrees of latitude in a km, a little more than there are. */
    private const DEGREES = 1 / 111.0;

    /** @var array<string, array<array-key, list<int>>> */
    private array $spellings = [];

    public function __construct(private readonly Pieces $pieces, private readonly Layout $layout)
    {
    }

    /**
     * @param  int  $today  days since 1970-01-01
     * @return array{Bitmap, Bitmap} pages, or contacts, that meet a condition, and of which it is known
     */
    public function of(Condition $condition, int $today): array
    {
        return match ($condition->field->test()) {
            Comparison::Parts => $this->together($condition, $today),
            Comparison::Near => $this->near($condition),
            default => $this->one($condition->field->of(), $condition, $today),
        };
    }

    /** @return array{Bitmap, Bitmap} who meets a condition, and of whom it is known */
    private function one(Entity $of, Condition $condition, int $today): array
    {
        $key = "{$of->value}:{$condition->key}";
        $known = $this->known($of, $condition);

        return [match ($condition->field->test()) {
            Comparison::Range => $this->inRange($key, $condition, $known, $today),
            Comparison::Query => $this->found($condition, $known),
            default => $this->having($key, $condition),
        }, $known];
    }

    private function known(Entity $of, Condition $condition): Bitmap
    {
        $field = "{$of->value}:{$condition->field->value}";
        $passages = $condition->field === Field::Words ? Passage::named($condition->which) : [];

        return $passages === []
            ? $this->pieces->set("{$of->value}:{$condition->key}:known")
            : array_reduce(
                $passages,
                fn (Bitmap $all, Passage $passage): Bitmap => $all->
                    or($this->pieces->set("$field:{$passage->value}:known")),
                Bitmap::none(),
            );
    }

    private function having(string $key, Condition $condition): Bitmap
    {
        if ($condition->field->isName() && ! $condition->all) {
            // Together, since tens of thousands of them may be pasted.
            $spellings = $this->spellings($key, $condition->field);
            $lines = [];
            foreach ($condition->any as $value) {
                foreach ($spellings[$condition->field->spelled($value)] ?? [] as $line) {
                    $lines[$line] = $line;
                }
            }

            return $this->pieces->ofLines("v:$key", $lines);
        }
        $sets = array_map(
            fn (string $value): Bitmap => $this->ofValue($key, $condition->field, $value),
            $condition->any,
        );

        return array_reduce(
            array_slice($sets, 1),
            fn (Bitmap $all, Bitmap $one): Bitmap => $condition->all ? $all->and($one) : $all->or($one),
            $sets[0] ?? Bitmap::none(),
        );
    }

    /** Where a value of a field stands. */
    public function ofValue(string $key, Field $field, string $value): Bitmap
    {
        return $field->isName()
            ? $this->pieces->ofLines("v:$key", $this->spellings($key, $field)[$field->spelled($value)] ?? [])
            : $this->pieces->set("$key=$value");
    }

    /** @return array<array-key, list<int>> names → the lines where they stand as somebody wrote them */
    private function spellings(string $key, Field $field): array
    {
        if (! isset($this->spellings[$key])) {
            $this->spellings[$key] = [];
            foreach ($this->pieces->lines("t:v:$key") as $i => $name) {
                $this->spellings[$key][$field->spelled($name)][] = $i;
            }
        }

        return $this->spellings[$key];
    }

    /**
     * Those with a signal, or a position before, of which all parts hold; not known where one would, were the unknown
     * of it so.
     *
     * @return array{Bitmap, Bitmap} who meets it, and of whom it is known
     */
    private function together(Condition $condition, int $today): array
    {
        $of = $condition->field === Field::Event ? Entity::Event : Entity::PositionBefore;
        $sure = $maybe = $items = $this->pieces->set("{$of->value}:all");
        foreach ($condition->parts as $part) {
            [$meet, $known] = $this->one($of, $part, $today);
            $sure = $sure->and($meet);
            $maybe = $maybe->and($meet->or($items->without($known)));
        }
        $meet = $this->owners($of, $sure, $condition->times);
        $open = $this->owners($of, $maybe, $condition->times)->without($meet);

        return [$meet, $this->pieces->set($condition->field->of()->value.':parts:known')->without($open)];
    }

    /** The accounts, or contacts, that have so many of these signals, or positions. */
    private function owners(Entity $of, Bitmap $items, int $times): Bitmap
    {
        if ($of === Entity::PositionBefore) {
            return (new Slices(Slices::sums($items, Indexer::LEVELS * $this->layout->pages)))
                ->atLeast($times, $this->pieces->set('c:all'));
        }
        $digits = Slices::sums($items, $this->layout->pages);
        $any = array_reduce(
            $digits,
            static fn (Bitmap $all, Bitmap $digit): Bitmap => $all->or($digit),
            Bitmap::none(),
        );
        $found = $times === 1 ? $any : (new Slices($digits))->atLeast($times, $any);
        // What stands on one page of an account is true of all its pages, and is summed over them.
        $accounts = $this->layout->accounts();
        $counts = [];
        foreach ($any->and($this->pieces->set('a:several'))->positions() as $page) {
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

    private function inRange(string $key, Condition $condition, Bitmap $known, int $today): Bitmap
    {
        $field = $condition->field;
        $digits = [];
        for ($i = 0, $count = (int) $this->pieces->get("d:$key"); $i < $count; $i++) {
            $digits[] = $this->pieces->set("$key#$i");
        }
        [$low, $high] = [$condition->low, $condition->high];
        if ($field->countsBack()) {
            // A few months in the position is a day not long ago.
            [$low, $high] = [$high === null ? null : $today - $high, $low === null ? null : $today - $low];
        }

        return (new Slices($digits))->between(
            $low === null ? null : $field->scaled($low) + 1,
            $high === null ? null : $field->scaled($high) + 1,
            $known,
        );
    }

    private function found(Condition $condition, Bitmap $known): Bitmap
    {
        if ($condition->query === null) {
            return Bitmap::none();
        }
        $field = $condition->field->value;
        $lines = new LineSets(
            $this->pieces,
            $field,
            $condition->field === Field::Words ? Passage::named($condition->which) : [],
        );
        $matching = $condition->query->in($lines);
        $others = $lines->not($matching);

        return $matching->count() <= $others->count()
            ? $this->pieces->ofLines($field, $matching->positions())->and($known)
            : $known->without($this->pieces->ofLines($field, $others->positions()));
    }

    /** @return array{Bitmap, Bitmap} which pages have a place near enough, and which have a place at all */
    private function near(Condition $condition): array
    {
        [$latitude, $longitude] = $condition->of ?? [0.0, 0.0];
        $centre = new Coordinates($latitude, $longitude);
        $places = $this->pieces->get('places');
        $anySite = $condition->which === 'any';
        $found = [];
        for (
            $end = strlen($places),
            $offset = self::PLACE * self::fromLatitude(
                $places,
                $latitude - $condition->km * self::DEGREES,
            ); $offset < $end; $offset += self::PLACE
        ) {
            /** @var array{lat: float, lon: float, page: int, seat: int} $place */
            $place = unpack('elat/elon/Vpage/Vseat', $places, $offset);
            if ($place['lat'] > $latitude + $condition->km * self::DEGREES) {
                break;
            }
            if (
                ($anySite || $place['seat'] === 1)
                && $centre->distanceTo(new Coordinates($place['lat'], $place['lon'])) <= $condition->km
            ) {
                $found[] = $place['page'];
            }
        }

        return [Bitmap::of($found), $this->pieces->set("a:{$condition->key}:known")];
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
}
