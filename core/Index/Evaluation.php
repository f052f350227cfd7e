<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Subject;
use Luftig\Core\Search\Whose;

/** Who meets a condition on facts, and of whom it is known (rule 12). */
final class Evaluation
{
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
    public function of(Condition $condition, Subject $subject, int $today): array
    {
        if ($condition->field === Field::Event && $subject === Subject::Contacts) {
            return $this->byTheirSignals($condition, $today);
        }
        [$meet, $known] = match ($condition->field->test()) {
            Comparison::Parts => $this->together($condition, $today),
            Comparison::Near => $this->near($condition),
            default => $this->one($condition->field->of(), $condition, $today),
        };

        return $condition->field->of() === Entity::Account && $subject === Subject::Contacts
            ? [$this->layout->spread($meet), $this->layout->spread($known)]
            : [$meet, $known];
    }

    /** @return array{Bitmap, Bitmap} who meets a condition, and of whom it is known */
    private function one(Entity $of, Condition $condition, int $today): array
    {
        $key = Piece::of($of, $condition->key);
        $known = $this->known($of, $condition);

        return [match ($condition->field->test()) {
            Comparison::Range => $this->inRange($key, $condition, $known, $today),
            Comparison::Query => $this->found($of, $condition, $known),
            default => $this->having($key, $condition),
        }, $known];
    }

    private function known(Entity $of, Condition $condition): Bitmap
    {
        $field = Piece::of($of, $condition->field->value);
        $passages = $condition->field === Field::Words ? Passage::named($condition->which) : [];

        return $passages === []
            ? $this->pieces->set(Piece::known(Piece::of($of, $condition->key)))
            : array_reduce(
                $passages,
                fn (Bitmap $all, Passage $passage): Bitmap => $all->
                    or($this->pieces->set(Piece::knownIn($field, $passage->value))),
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

            return $this->pieces->ofLines(Piece::names($key), $lines);
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
            ? $this->pieces->ofLines(Piece::names($key), $this->spellings($key, $field)[$field->spelled($value)] ?? [])
            : $this->pieces->set(Piece::value($key, $value));
    }

    /** @return array<array-key, list<int>> names → the lines where they stand as somebody wrote them */
    private function spellings(string $key, Field $field): array
    {
        if (! isset($this->spellings[$key])) {
            $this->spellings[$key] = [];
            foreach ($this->pieces->lines(Piece::lines(Piece::names($key))) as $i => $name) {
                $this->spellings[$key][$field->spelled($name)][] = $i;
            }
        }

        return $this->spellings[$key];
    }

    /**
     * Those with a signal, an opening, or a position before, of which all parts hold; not known where one would, were
     * the unknown of it so.
     *
     * @return array{Bitmap, Bitmap} who meets it, and of whom it is known
     */
    private function together(Condition $condition, int $today): array
    {
        $of = $condition->field->parts()[0]->of();
        [$sure, $maybe] = array_map(
            fn (Bitmap $items): Bitmap => $this->ofWhom($items, $condition),
            $this->parts($of, $condition, $today),
        );
        $meet = $this->owners($of, $sure, $condition->times);
        $open = $this->owners($of, $maybe, $condition->times)->without($meet);

        $known = Piece::partsKnown($of === Entity::Opening ? $of : $condition->field->of());

        return [$meet, $this->pieces->set($known)->without($open)];
    }

    /** Those of some signals that are the account's, or its people's, where only these are meant. */
    private function ofWhom(Bitmap $signals, Condition $condition): Bitmap
    {
        return match (Whose::tryFrom($condition->which)) {
            Whose::Account => $signals->without($this->pieces->set(Piece::OWNED)),
            Whose::Person => $signals->and($this->pieces->set(Piece::OWNED)),
            null => $signals,
        };
    }

    /**
     * Contacts by signals: what happened to the account counts for all of its people, what somebody did or had happen
     * to them for nobody else.
     *
     * @return array{Bitmap, Bitmap} who meets it, and of whom it is known
     */
    private function byTheirSignals(Condition $condition, int $today): array
    {
        $whose = Whose::tryFrom($condition->which);
        $owned = $this->pieces->set(Piece::OWNED);
        $none = [Bitmap::none(), Bitmap::none()];
        $ofAll = array_map(
            static fn (Bitmap $signals): Bitmap => $signals->without($owned),
            $whose === Whose::Person ? $none : $this->parts(Entity::Event, $condition, $today),
        );
        $own = array_map(
            fn (Bitmap $signals): array => Slices::sums($signals, Piece::LEVELS * $this->layout->pages),
            $whose === Whose::Account ? $none : $this->parts(Entity::OwnEvent, $condition, $today),
        );
        [$meet, $might] = array_map(
            fn (Bitmap $shared, array $digits): Bitmap => $this->inAll($shared, $digits, $condition->times),
            $ofAll,
            $own,
        );
        $known = $this->layout->spread($this->pieces->set(Piece::partsKnown(Entity::Account)));

        return [$meet, $known->without($might->without($meet))];
    }

    /**
     * Contacts with so many signals, those of the account and their own taken together.
     *
     * @param  list<Bitmap>  $own  how many of their own each has, in binary digits
     */
    private function inAll(Bitmap $shared, array $own, int $times): Bitmap
    {
        $contacts = $this->pieces->set(Piece::all(Entity::Contact));
        $found = $this->layout->spread($this->owners(Entity::Event, $shared, $times));
        for ($n = 1, $most = (1 << count($own)) - 1; $n <= min($times, $most); $n++) {
            $having = (new Slices($own))->atLeast($n, $contacts);
            $found = $found->or($n === $times ? $having : $having->and(
                $this->layout->spread($this->owners(Entity::Event, $shared, $times - $n)),
            ));
        }

        return $found;
    }

    /** @return array{Bitmap, Bitmap} signals, or positions, of which all parts hold, and of which they might */
    private function parts(Entity $of, Condition $condition, int $today): array
    {
        $sure = $maybe = $items = $this->pieces->set(Piece::all($of));
        foreach ($condition->parts as $part) {
            [$meet, $known] = $this->one($of, $part, $today);
            $sure = $sure->and($meet);
            $maybe = $maybe->and($meet->or($items->without($known)));
        }

        return [$sure, $maybe];
    }

    /** The accounts, or contacts, that have so many of these signals, or positions. */
    private function owners(Entity $of, Bitmap $items, int $times): Bitmap
    {
        if ($of === Entity::PositionBefore) {
            return (new Slices(Slices::sums($items, Piece::LEVELS * $this->layout->pages)))
                ->atLeast($times, $this->pieces->set(Piece::all(Entity::Contact)));
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
        foreach ($any->and($this->pieces->set(Piece::SEVERAL))->positions() as $page) {
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
        for ($i = 0, $count = (int) $this->pieces->get(Piece::digits($key)); $i < $count; $i++) {
            $digits[] = $this->pieces->set(Piece::digit($key, $i));
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

    private function found(Entity $of, Condition $condition, Bitmap $known): Bitmap
    {
        if ($condition->query === null) {
            return Bitmap::none();
        }
        $text = Piece::text($of, $condition->field->value);
        $lines = new LineSets(
            $this->pieces,
            $text,
            $condition->field === Field::Words ? Passage::named($condition->which) : [],
        );
        $matching = $condition->query->in($lines);
        $others = $lines->not($matching);

        return $matching->count() <= $others->count()
            ? $this->pieces->ofLines($text, $matching->positions())->and($known)
            : $known->without($this->pieces->ofLines($text, $others->positions()));
    }

    /** @return array{Bitmap, Bitmap} which pages have a place near enough, and which have a place at all */
    private function near(Condition $condition): array
    {
        [$latitude, $longitude] = $condition->of ?? [0.0, 0.0];
        $centre = new Coordinates($latitude, $longitude);
        $places = $this->pieces->get(Piece::PLACES);
        $anySite = $condition->which === 'any';
        $found = [];
        for (
            $end = strlen($places),
            $offset = Piece::PLACE * self::fromLatitude(
                $places,
                $latitude - $condition->km * self::DEGREES,
            ); $offset < $end; $offset += Piece::PLACE
        ) {
            /** @var array{lat: float, lon: float, page: int, seat: int} $place */
            $place = unpack(Piece::PLACE_READ, $places, $offset);
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

        return [Bitmap::of($found), $this->pieces->set(Piece::known(Piece::of(Entity::Account, $condition->key)))];
    }

    /** The number of the first place so far north. */
    private static function fromLatitude(string $places, float $latitude): int
    {
        [$low, $high] = [0, intdiv(strlen($places), Piece::PLACE)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ((unpack('e', $places, Piece::PLACE * $middle)[1] ?? 0) < $latitude) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
