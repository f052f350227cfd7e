<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\City;
use App\Models\User;
use App\Support\Countries;
use App\Support\Figure;
use App\Support\Gazetteer;
use App\Support\Money;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\Industries;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Subject;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;

/** A step of a search as its address has it. */
final readonly class StepForm
{
    private const DAYS_IN_MONTH = 30.4375;

    /** So many values are named. */
    private const SAID = 6;

    /** Characters of a query, and of all else: each stands in every link of the page. */
    private const LONG = 2000;

    private const SHORT = 200;

    /** What may be long, and is kept under a mark then. */
    private const PASTED = ['v', 'q', 'q2'];

    private const KEYS = [
        'f', 'v', 'w', 'all', 'lo', 'hi', 'cur', 'q', 'q2', 'km', 'st', 'slo', 'shi', 'rd', 'alo', 'ahi', 'n', 'new',
        'x', 'u', 'off',
    ];

    /**
     * @param  array<string, string>  $given  f field; v values, all of them (all); w which: "any" site, passages, an
     *     attribute, a buyer role, whose relations, a share; lo, hi and their currency; q query or place, km;
     *                                        of a signal also st states, slo and shi strength, rd rounds, alo and ahi
     *                                        amount; of a position before q2 company; n how many, or steps; new:
     *                                        without those known already;
     *                                        x exclude, u keep (1) or drop (0) unknowns, off
     */
    private function __construct(public Field $field, public array $given)
    {
    }

    /** @param  array<mixed>  $row */
    public static function from(array $row): ?self
    {
        $given = [];
        foreach (self::KEYS as $key) {
            if (is_array($row[$key] ?? null)) {
                $row[$key] = implode(',', array_filter($row[$key], is_scalar(...)));
            }
            if (is_scalar($row[$key] ?? null) && trim((string) $row[$key]) !== '') {
                $text = trim(str_replace("\r\n", "\n", (string) $row[$key]));
                $given[$key] = in_array($key, self::PASTED, true) && ($key === 'v' || str_contains($text, "\n"))
                    ? Pasted::short(mb_strcut($text, 0, Pasted::LONGEST))
                    : mb_substr($text, 0, in_array($key, self::PASTED, true) ? self::LONG : self::SHORT);
            }
        }
        $field = Field::tryFrom($given['f'] ?? '');

        return $field === null ? null : new self($field, $given);
    }

    /** @param  array<string, string>  $given */
    public static function of(Field $field, array $given): self
    {
        return new self($field, ['f' => $field->value] + $given);
    }

    public function excludes(): bool
    {
        return ($this->given['x'] ?? '') === '1';
    }

    public function isOff(): bool
    {
        return ($this->given['off'] ?? '') === '1';
    }

    public function keepsUnknown(): bool
    {
        return isset($this->given['u']) ? $this->given['u'] === '1' : $this->excludes();
    }

    /** @param  array<string, string|null>  $changes */
    public function with(array $changes): self
    {
        return new self(
            $this->field,
            array_filter([...$this->given, ...$changes], fn (?string $value): bool => $value !== null),
        );
    }

    /** @return list<string> values, as typed or pasted: parted by commas, semicolons or lines */
    public function values(string $key = 'v'): array
    {
        return array_values(array_unique(
            array_filter(
                array_map(trim(...), preg_split('/[,;\n]/', Pasted::text($this->given[$key] ?? '')) ?: []),
                fn (string $value): bool => $value !== '',
            ),
        ));
    }

    /** A query as it was typed, or phrases as they were pasted, a line each. */
    public function query(string $key = 'q'): string
    {
        return Pasted::text($this->given[$key] ?? '');
    }

    /** @return list<string> how its query is read in another way than it might have been meant */
    public function hints(): array
    {
        $keys = match (true) {
            $this->field === Field::Before => ['q', 'q2'],
            $this->field === Field::Event, $this->field->test() === Comparison::Query => ['q'],
            default => [],
        };
        try {
            return array_merge([], ...array_map(
                fn (string $key): array => isset($this->given[$key]) ? Query::parse($this->query($key))->hints : [],
                $keys,
            ));
        } catch (Mistake) {
            return [];
        }
    }

    /** @throws Mistake with a sentence */
    public function condition(Subject $subject): Condition
    {
        foreach (self::PASTED as $key) {
            Pasted::isGone($this->given($key))
                && throw new Mistake('What was pasted into this step is not kept here; paste it again.');
        }
        $x = $this->excludes();
        $unknown = isset($this->given['u']) ? $this->given['u'] === '1' : null;
        $which = $this->which();

        return match (true) {
            $this->field === Field::Event => Condition::together(
                $this->field, $this->eventParts(), $this->whole('n', 1), $x, $unknown,
            ),
            $this->field === Field::Before => Condition::together(
                $this->field, $this->positionParts(), 1, $x, $unknown,
            ),
            $this->field === Field::Spending => Condition::range(
                Field::Revenue, $this->leastRevenue(), null, $x, $unknown,
            ),
            $this->field === Field::Attribute => Condition::any(
                $this->field,
                $this->values() ?: ['*'],
                $x,
                $unknown,
                which: $which === '' ? throw new Mistake('Choose the attribute.') : $which,
            ),
            $this->field->test() === Comparison::Any => Condition::any(
                $this->field,
                array_map($this->code(...), $this->values()),
                $x,
                $unknown,
                ($this->given['all'] ?? '') === '1',
                $which,
            ),
            $this->field->test() === Comparison::Range => Condition::range(
                $this->field, $this->bound('lo'), $this->bound('hi'), $x, $unknown, $which,
            ),
            $this->field->test() === Comparison::Query => Condition::query(
                $this->field, $this->query(), $x, $unknown, $this->field === Field::Words ? $which : '',
            ),
            $this->field->test() === Comparison::Near => Condition::near(
                $this->place(),
                $this->number('km') ?? throw new Mistake('Give the radius in km.'),
                $x,
                $unknown,
                $which === 'any',
            ),
            $this->field === Field::Reach => Condition::any($this->field, [$this->reach()->named()], $x),
            default => $this->field === Field::KeptOut || $this->values() !== []
                ? Sets::condition($this->field, $subject, $this->values(), $x)
                : throw new Mistake('Choose at least one.'),
        };
    }

    private function which(): string
    {
        $which = mb_strtolower($this->given('w'));

        // In all of them is as good as in any.
        return $this->field === Field::Words && count(Passage::named($which)) === count(Passage::cases()) ? '' : $which;
    }

    public function reach(): Reachability
    {
        return Reachability::from(
            $this->given['w'] ?? 'anyone',
            $this->given['n'] ?? '1',
            ($this->given['new'] ?? '') === '1',
        );
    }

    private function number(string $key): ?float
    {
        $text = $this->given[$key] ?? null;
        if ($text === null) {
            return null;
        }
        $plain = str_replace([' ', ','], ['', '.'], $text);
        if (is_numeric($plain)) {
            return is_finite((float) $plain) ? (float) $plain : throw new Mistake("“{$text}” is beyond any number.");
        }
        // As at intake: 1M, 12 Mio, 4,5 %; but no “ca.”, and no range where one end is asked for.
        $figure = Figure::read($key === 'km' ? (string) preg_replace('/\s*km$/i', '', $text) : $text);

        return $figure === null || $figure->given !== null
            ? throw new Mistake("“{$text}” is not a number.")
            : $figure->value;
    }

    private function whole(string $key, int $default): int
    {
        $number = $this->number($key);

        return match (true) {
            $number === null => $default,
            $number >= 1 && floor($number) === $number && $number < 10_000 => (int) $number,
            default => throw new Mistake('How many: a whole number from 1.'),
        };
    }

    /** A bound of a range as the index has it: in days, in EUR. */
    private function bound(string $key, ?Field $field = null): ?float
    {
        $field ??= $this->field;
        $number = $this->number($key);
        if ($number === null) {
            return null;
        }
        if (
            in_array($field, [Field::Revenue, Field::EventAmount, Field::Spending], true) && isset($this->given['cur'])
        ) {
            return Money::inEur($number, $this->given['cur'])
                ?? throw new Mistake("No rate is stated for the currency “{$this->given['cur']}”.");
        }

        if ($field === Field::Growth) {
            return self::isPerCent($this->given($key), $number) ? $number / 100 : $number;
        }

        return $field->countsBack() && $field !== Field::EventAge ? round($number * self::DAYS_IN_MONTH) : $number;
    }

    /** A growth of 10 is one of 10 %, as one of 10 % is; of .1 too, as the bands have it. */
    private static function isPerCent(string $text, float $number): bool
    {
        return abs($number) >= 1 && ! str_contains($text, '%');
    }

    /** Who can pay the price, if they spend this share of their revenue on our kind of thing (rule 4). */
    private function leastRevenue(): float
    {
        $share = $this->number('w')
            ?? throw new Mistake('Give the share of revenue that is usually spent on this, in per cent.');
        if ($share <= 0 || $share > 100) {
            throw new Mistake('A share is a number of per cent above 0, at most 100.');
        }

        return ($this->bound('lo') ?? throw new Mistake('Give the price.')) / ($share / 100);
    }

    /** @return list<Condition> what has to be true of one and the same signal */
    private function eventParts(): array
    {
        $parts = [];
        foreach ([[Field::EventKind, 'v'], [Field::EventStage, 'st'], [Field::EventRound, 'rd']] as [$field, $key]) {
            if ($this->values($key) !== []) {
                $parts[] = Condition::any($field, array_map(mb_strtolower(...), $this->values($key)));
            }
        }
        foreach (
            [
                [Field::EventAge, 'lo', 'hi'],
                [Field::EventStrength, 'slo', 'shi'],
                [Field::EventAmount, 'alo', 'ahi'],
            ] as [$field, $low, $high]
        ) {
            if (isset($this->given[$low]) || isset($this->given[$high])) {
                // What is announced has not happened; up to so many days ago begins today.
                $parts[] = Condition::range(
                    $field,
                    $this->bound($low, $field) ?? ($field === Field::EventAge ? 0.0 : null),
                    $this->bound($high, $field),
                );
            }
        }
        if (isset($this->given['q'])) {
            $parts[] = Condition::query(Field::EventText, $this->query());
        }

        return $parts;
    }

    /** @return list<Condition> what has to be true of one and the same position */
    private function positionParts(): array
    {
        $parts = [];
        foreach ([[Field::BeforeTitle, 'q'], [Field::BeforeCompany, 'q2']] as [$field, $key]) {
            if (isset($this->given[$key])) {
                $parts[] = Condition::query($field, $this->query($key));
            }
        }
        if (isset($this->given['lo']) || isset($this->given['hi'])) {
            $parts[] = Condition::range(Field::BeforeEnded, $this->bound('lo', Field::BeforeEnded), $this->bound(
                'hi',
                Field::BeforeEnded,
            ));
        }

        return $parts;
    }

    /** What it asks, in words. */
    public function says(): string
    {
        $which = $this->which();
        $said = match (true) {
            $this->field === Field::Event => implode(' · ', array_filter([
                in_array($this->given('n'), ['', '1'], true) ? '' : 'at least '.$this->given('n'),
                $this->labels(Field::Signal, 'v'), $this->labels(Field::EventStage, 'st'),
                $this->given('rd') === '' ? '' : 'round '.strtoupper($this->labels(Field::EventRound, 'rd')),
                $this->between('lo', 'hi', ' days ago'), $this->between('slo', 'shi', ' strong'),
                $this->between('alo', 'ahi', ' '.$this->currency()), $this->queried('q'),
            ])),
            $this->field === Field::Before => implode(' · ', array_filter(
                [
                    $this->queried('q'),
                    $this->given('q2') === '' ? '' : 'at '.$this->queried('q2'),
                    $this->between('lo', 'hi', ' months ago'),
                ],
            )),
            $this->field === Field::Spending => $this->given('lo').' '.$this->currency()." at $which % of revenue",
            $this->field === Field::Attribute => $which.': '
                .($this->values() === [] ? 'any' : implode(', ', $this->values())),
            $this->field === Field::Reach => $this->reaches(),
            $this->field === Field::KeptOut => 'customers, competitors, agencies, keep-out',
            $this->field === Field::Growth => $this->grows(),
            $this->field->test() === Comparison::Range => $this
                ->between('lo', 'hi', $this->given('cur') === '' ? '' : ' '.$this->currency()),
            $this->field->test() === Comparison::Query => $this->queried('q'),
            $this->field->test() === Comparison::Near => $this->given('km').' km around '.$this->given('q'),
            default => $this->labels($this->field, 'v'),
        };

        return match (true) {
            $this->field->isOfSite() && $which === 'any' => "$said, any site",
            $this->field === Field::Words && $which !== '' => "$said, in "
                .implode(' or ', array_map(fn (Passage $passage): string => $passage->label(), Passage::named($which))),
            $this->field === Field::KnownContacts && $which !== '' => "$said in the role $which",
            default => $said,
        };
    }

    private function grows(): string
    {
        $shown = fn (string $key): string => ($number = $this->bound($key)) === null
            ? ''
            : str_replace('-', '−', (string) round(100 * $number, 1)).' %';
        try {
            return self::span($shown('lo'), $shown('hi'), '');
        } catch (Mistake) {
            return $this->between('lo', 'hi', '');
        }
    }

    private function reaches(): string
    {
        try {
            return $this->reach()->says();
        } catch (Mistake) {
            return 'through nobody we know of';
        }
    }

    private function given(string $key): string
    {
        return $this->given[$key] ?? '';
    }

    private function queried(string $key): string
    {
        $phrases = Query::pasted($this->query($key));
        $more = count($phrases) - self::SAID;

        return $phrases === []
            ? $this->query($key)
            : implode(' · ', array_slice($phrases, 0, self::SAID)).($more > 0 ? " and $more more" : '');
    }

    private function labels(Field $field, string $key): string
    {
        $values = $this->values($key);
        $shown = array_map(
            fn (string $value): string => self::label($field, $field === $this->field ? $this->code($value) : $value),
            array_slice($values, 0, self::SAID),
        );
        $more = count($values) - count($shown);

        $glue = match (true) {
            $this->given('all') === '1' => ' and ',
            str_contains(implode('', $shown), ',') => '; ',
            default => ', ',
        };

        return implode($glue, $shown).($more > 0 ? " and $more more" : '');
    }

    private function between(string $from, string $to, string $unit): string
    {
        return self::span($this->given($from), $this->given($to), $unit);
    }

    private static function span(string $low, string $high, string $unit): string
    {
        return match (true) {
            $low === '' && $high === '' => '',
            $low === '' => "up to $high$unit",
            $high === '' => "from $low$unit",
            default => "$low – $high$unit",
        };
    }

    /** The currency with the rate at which it is converted. */
    private function currency(): string
    {
        $currency = $this->given('cur') ?: 'EUR';

        $rate = config('luftig.rates.per_eur')[$currency] ?? null;

        return $currency === 'EUR' || $rate === null ? $currency : "$currency (1 EUR = $rate)";
    }

    /** A value of a field as people read it. */
    public static function label(Field $field, string $value): string
    {
        return match ($field) {
            Field::Industry, Field::MainIndustry => lcfirst(Industries::name($value)),
            Field::Country, Field::OwnCountry => Countries::name($value) ?: $value,
            Field::Signal => Kind::tryFrom($value)?->label() ?? $value,
            Field::Owner => $value === 'nobody'
                ? 'nobody'
                : (string) (User::query()->find((int) $value)->name ?? $value),
            Field::ListOf => (string) (
                DB::table('lists')->where('id', (int) $value)->value('name') ?? 'a list that is gone'
            ),
            Field::Tag => (string) (
                DB::table('tags')->where('id', (int) $value)->value('name') ?? 'a tag that is gone'
            ),
            Field::Approached => $value === 'anyone'
                ? 'by anyone'
                : 'by '.(User::query()->find((int) $value)->name ?? 'somebody who is gone'),
            Field::BusinessFunction => in_array($value, ['it', 'hr'], true)
                ? strtoupper($value)
                : str_replace('_', ' ', $value),
            Field::Channel => [
                'email_checked' => 'e-mail, checked', 'email' => 'e-mail', 'email_dead' => 'e-mail, dead',
                'direct_phone' => 'direct phone', 'asked' => 'asked to be contacted',
            ][$value] ?? $value,
            Field::Origin => ['customer' => 'a customer of ours'][$value] ?? $value,
            Field::Arrival => [
                'settled' => 'not new', 'unknown' => 'new, from where unknown', 'joined' => 'new, joined',
                'promoted' => 'new, promoted', 'moved' => 'new, moved inside',
            ][$value] ?? $value,
            default => $field->isName() ? $value : str_replace('_', ' ', $value),
        };
    }

    /** A value as the index has it: names of countries, industries and kinds are read. */
    private function code(string $value): string
    {
        return match ($this->field) {
            Field::Country, Field::OwnCountry => Countries::code($value) ?? strtoupper($value),
            Field::Industry,
            Field::MainIndustry => preg_match('/^[A-Z]$|^\d{2,4}$/', $value) === 1
                ? $value
                : Industries::read($value)[0] ?? $value,
            Field::PostalArea => str_replace(' ', '', $value),
            Field::Domain => Domain::from($value)->name ?? $value,
            default => $this->field->isName() ? $value : str_replace(' ', '_', mb_strtolower($value)),
        };
    }

    /** @return array{float, float} */
    private function place(): array
    {
        $text = $this->given['q'] ?? throw new Mistake('Name the place.');
        if (preg_match('/^(-?\d+(?:\.\d+)?)\s*,\s*(-?\d+(?:\.\d+)?)$/', $text, $numbers) === 1) {
            return [(float) $numbers[1], (float) $numbers[2]];
        }
        $found = Gazetteer::named($text);
        // Of several of one name in one country the largest is meant, as it is at intake.
        if ($found === [] || count(array_unique(array_map(fn (City $city): string => $city->country, $found))) > 1) {
            throw new Mistake(
                $found === []
                    ? "The place “{$text}” is not known; take one of those suggested, or give latitude and longitude."
                    : "“{$text}” stands for several places: ".implode(
                        '; ',
                        array_map(
                            fn (City $city): string => "{$city->name}, ".Countries::name($city->country),
                            array_slice($found, 0, 4),
                        ),
                    ).'. Add the country.',
            );
        }

        return [(float) $found[0]->latitude, (float) $found[0]->longitude];
    }
}
