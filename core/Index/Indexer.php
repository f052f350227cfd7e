<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Generator;
use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;

/** Makes the pieces of an index (Piece) out of records. */
final class Indexer
{
    /** From so many values on they are counted by walking over what was found. */
    private const MANY = 64;

    /** How many stand in the first band. */
    private const BAND = 512;

    /** What things are ordered by is kept as a whole number of 32 bits. */
    private const LIFTED = 2000;

    private const PRECISION = 100_000;

    /** @var array<string, array<string, Collected>> of → field → its values */
    private array $values = [];

    /**
     * @var array<string, array<string, array{ByteColumn, int, float}>> of → field → its numbers, each one higher than
     *     it is, and their scale
     */
    private array $numbers = [];

    /** @var array<string, array<string, array{Bits, Lines}>> of → field → where there is a text, and these */
    private array $texts = [];

    /** @var array<string, Bits> key → bits */
    private array $bits = [];

    /** @var array<int, int> page → account */
    private array $accountOf = [];

    /**
     * @var array<string, string> key → a number at each place, four bytes each: what is ordered by, and ids of
     *     contacts; 0 where there is nobody
     */
    private array $packed = [];

    /** @var list<array{float, float, int, bool}> latitude, longitude, page, headquarters */
    private array $places = [];

    /** @var array<int, int> first page of an account → how many contacts it has */
    private array $contactsAt = [];

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
    public static function pagesFor(int $contacts, int $events, int $openings = 0): int
    {
        return max(
            1,
            intdiv($contacts + Piece::LEVELS - 1, Piece::LEVELS),
            intdiv(max($events, $openings) + Piece::EVENTS - 1, Piece::EVENTS),
        );
    }

    public static function pagesOf(Record $account): int
    {
        return self::pagesFor(count($account->contacts), count($account->parts ?? []), count($account->openings ?? []));
    }

    public function add(Record $account): void
    {
        $own = self::pagesOf($account);
        $this->set(Piece::FIRST, $this->page, $this->pages);
        $this->contactsAt[$this->page] = count($account->contacts);
        for ($page = $this->page; $page < $this->page + $own; $page++) {
            $this->accountOf[$page] = $account->id;
            $this->describe(Entity::Account, $account, $page, $this->pages);
            foreach ($account->places ?? [] as [$latitude, $longitude, $seat]) {
                $this->places[] = [$latitude, $longitude, $page, $seat];
                $this->set(Piece::known(Piece::of(Entity::Account, 'near:any')), $page, $this->pages);
                if ($seat) {
                    $this->set(Piece::known(Piece::of(Entity::Account, 'near')), $page, $this->pages);
                }
            }
            if ($account->openings !== null) {
                $this->set(Piece::partsKnown(Entity::Opening), $page, $this->pages);
            }
            if ($own > 1) {
                $this->set(Piece::SEVERAL, $page, $this->pages);
            }
        }
        $this->pack(Piece::order(Entity::Account), $this->page, self::order($account), $this->pages);
        foreach ($account->parts ?? [] as $i => $event) {
            $place = $this->placeOfEvent($i);
            $this->set(Piece::all(Entity::Event), $place, Piece::EVENTS * $this->pages);
            $this->describe(Entity::Event, $event, $place, Piece::EVENTS * $this->pages);
        }
        foreach ($account->openings ?? [] as $i => $opening) {
            $place = $this->placeOfEvent($i);
            $this->set(Piece::all(Entity::Opening), $place, Piece::EVENTS * $this->pages);
            $this->describe(Entity::Opening, $opening, $place, Piece::EVENTS * $this->pages);
        }
        $owned = [];
        foreach ($account->parts ?? [] as $i => $event) {
            if ($event->id !== 0) {
                $owned[$event->id][] = $event;
                $this->set(Piece::OWNED, $this->placeOfEvent($i), Piece::EVENTS * $this->pages);
            }
        }
        $levels = Piece::LEVELS * $this->pages;
        foreach ($account->contacts as $i => $contact) {
            $place = ($i % Piece::LEVELS) * $this->pages + $this->page + intdiv($i, Piece::LEVELS);
            $this->set(Piece::all(Entity::Contact), $place, $levels);
            $this->pack(Piece::CONTACT_IDS, $place, $contact->id, $levels);
            $this->describe(Entity::Contact, $contact, $place, $levels);
            $this->pack(Piece::order(Entity::Contact), $place, self::order($contact), $levels);
            foreach ($contact->parts ?? [] as $j => $position) {
                $this->set(Piece::all(Entity::PositionBefore), $j * $levels + $place, ($j + 1) * $levels);
                $this->describe(Entity::PositionBefore, $position, $j * $levels + $place, ($j + 1) * $levels);
            }
            foreach ($owned[$contact->id] ?? [] as $j => $event) {
                $this->set(Piece::all(Entity::OwnEvent), $j * $levels + $place, ($j + 1) * $levels);
                $this->describe(Entity::OwnEvent, $event, $j * $levels + $place, ($j + 1) * $levels);
            }
        }
        $this->page += $own;
    }

    private function placeOfEvent(int $number): int
    {
        return ($number % Piece::EVENTS) * $this->pages + $this->page + intdiv($number, Piece::EVENTS);
    }

    /**
     * Gives the pieces away one after another, and keeps nothing of them.
     *
     * @return Generator<string, string> key → bytes
     */
    public function pieces(): Generator
    {
        yield Piece::PAGES => pack('P', $this->pages);
        yield Piece::ACCOUNTS => self::numbers($this->accountOf);
        yield from $this->cut();
        // By latitude, so that those near a place are a stretch.
        sort($this->places);
        yield Piece::PLACES => implode('', array_map(
            static fn (array $place): string => pack(
                Piece::PLACE_WRITTEN, $place[0], $place[1], $place[2], $place[3] ? 1 : 0,
            ),
            $this->places,
        ));
        $byId = $this->ascending(Piece::CONTACT_IDS);
        yield Piece::BY_ID => self::numbers($byId);
        yield Piece::PLACES_BY_ID => self::numbers(array_keys($byId));
        unset($byId);
        yield from $this->bands(Entity::Account, $this->pages);
        yield from $this->bands(Entity::Contact, Piece::LEVELS * $this->pages);
        yield from $this->packed;
    }

    /**
     * Bands of growing size of those who come first, so that a first page is found without looking at all.
     *
     * @return Generator<string, string>
     */
    private function bands(Entity $of, int $width): Generator
    {
        $places = array_reverse(array_keys($this->ascending(Piece::order($of))));
        for ($size = self::BAND, $number = 0; $places !== []; $size *= 8, $number++) {
            yield Piece::band($of, $number) => Bitmap::of(array_slice($places, 0, $size))->bytes($width >> 3);
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
        return implode(
            '',
            array_map(static fn (array $some): string => pack('V*', ...$some), array_chunk($numbers, 1000)),
        );
    }

    private function describe(Entity $entity, Record $record, int $place, int $width): void
    {
        $of = $entity->value;
        foreach ($record->values as $field => $values) {
            ($this->values[$of][$field] ??= self::base($field)->isName() ? new Names($width) : new Values($width))
                ->add($values, $place);
        }
        foreach ($record->numbers as $field => $number) {
            [$column, $plus, $times] = $this->numbers[$of][$field] ??= [
                new ByteColumn($width),
                ...self::base($field)->scale(),
            ];
            // As Field::scaled does, without looking its scale up tens of millions of times.
            $scaled = (int) round(($number + $plus) * $times);
            $column->put($place, $scaled < 0 ? 1 : $scaled + 1);
        }
        foreach ($record->texts as $field => $line) {
            [$known, $lines] = $this->texts[$of][$field] ??= [new Bits($width), new Lines];
            $known->add($place);
            $lines->add($line, $place);
            foreach ($field === Field::Words->value ? Passage::filled($line) : [] as $passage) {
                $this->set(Piece::knownIn(Piece::of($entity, $field), $passage->value), $place, $width);
            }
        }
        if ($record->parts !== null) {
            $this->set(Piece::partsKnown($entity), $place, $width);
        }
    }

    /**
     * The sets that were collected: where each value stands and how many have it, the binary digits of numbers, lines,
     * and all others.
     *
     * @return Generator<string, string>
     */
    private function cut(): Generator
    {
        $none = new Bits(0);
        $first = ($this->bits[Piece::FIRST] ?? $none)->set();
        $contacts = ($this->bits[Piece::all(Entity::Contact)] ?? $none)->set();
        $weights = [
            Entity::Account->value => Weights::ofPages($this->contactsAt, $first, $contacts, $this->pages),
            Entity::Contact->value => Weights::ofContacts(),
        ];
        foreach ($this->values as $of => $fields) {
            foreach ($fields as $field => $values) {
                unset($this->values[$of][$field], $fields[$field]);
                yield from $values->pieces(Piece::of(Entity::from($of), $field));
                if (isset($weights[$of]) && self::base($field)->isCounted()) {
                    yield from $this->counted(Entity::from($of), $field, $values, $weights[$of]);
                }
            }
        }
        foreach ($this->numbers as $of => $fields) {
            foreach ($fields as $field => [$column]) {
                unset($this->numbers[$of][$field], $fields[$field]);
                $name = Piece::of(Entity::from($of), $field);
                $known = Bitmap::none();
                $digits = $column->digits();
                foreach ($digits as $digit => $set) {
                    yield Piece::digit($name, $digit) => $set->bytes();
                    $known = $known->or($set);
                }
                yield Piece::known($name) => $known->bytes();
                yield Piece::digits($name) => (string) count($digits);
            }
        }
        foreach ($this->texts as $of => $fields) {
            foreach ($fields as $field => [$known, $lines]) {
                unset($this->texts[$of][$field], $fields[$field]);
                yield Piece::known(Piece::of(Entity::from($of), $field)) => $known->bytes();
                yield from $lines->pieces(Piece::text(Entity::from($of), $field));
            }
        }
        foreach ($this->bits as $key => $bits) {
            yield $key => $bits->bytes();
        }
        $this->bits = [];
    }

    /** @return Generator<string, string> how many have each value, and the value of each page where there are many */
    private function counted(Entity $of, string $key, Collected $values, Weights $weights): Generator
    {
        $field = Piece::of($of, $key);
        $totals = $values->totals($weights);
        uasort($totals, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        yield Piece::totals($field) => json_encode($totals, JSON_THROW_ON_ERROR);
        $codes = count($totals) > self::MANY && $of === Entity::Account
            ? $values->numbers(array_combine(array_keys($totals), range(1, count($totals))), $this->pages)
            : null;
        if ($codes !== null) {
            yield Piece::codes($field) => $codes;
        }
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

    /** The field that a key is of (Condition::named). */
    private static function base(string $key): Field
    {
        return Field::from(strstr($key, ':', true) ?: $key);
    }

    private function set(string $key, int $place, int $width): void
    {
        ($this->bits[$key] ??= new Bits($width))->add($place);
    }
}
