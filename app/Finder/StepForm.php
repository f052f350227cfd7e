<?php

declare(strict_types=1);

namespace App\Finder;

use App\Intake\Countries;
use App\Intake\Gazetteer;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Finder\Condition;
use Luftig\Core\Finder\Field;
use Luftig\Core\Finder\Subject;
use Luftig\Core\Finder\Test;
use Luftig\Core\Firm\Industries;
use Luftig\Core\Mistake;
use Luftig\Core\Signal\Kind;

/** A step of a search as its address has it. */
final readonly class StepForm
{
    private const DAYS_IN_MONTH = 30.4375;

    private const KEYS = ['f', 'v', 'lo', 'hi', 'q', 'km', 'x', 'u', 'off'];

    /** @param  array<string, string>  $given  f field, v values, lo, hi, q query or place, km, x exclude, u keep (1) or drop (0) unknowns, off */
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
                $given[$key] = mb_substr(trim((string) $row[$key]), 0, 4000);
            }
        }
        $field = Field::tryFrom($given['f'] ?? '');

        return $field === null ? null : new self($field, $given);
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
        return new self($this->field, array_filter([...$this->given, ...$changes], fn (?string $value): bool => $value !== null));
    }

    /** @return list<string> values, as typed or pasted: parted by commas, semicolons or lines */
    public function values(): array
    {
        return array_values(array_unique(array_filter(array_map(trim(...), preg_split('/[,;\n]/', $this->given['v'] ?? '') ?: []), fn (string $value): bool => $value !== '')));
    }

    /** @throws Mistake with a sentence */
    public function condition(Subject $subject): Condition
    {
        $number = fn (string $key): ?float => isset($this->given[$key]) ? (is_numeric(str_replace([' ', ','], ['', '.'], $this->given[$key])) ? (float) str_replace([' ', ','], ['', '.'], $this->given[$key]) : throw new Mistake("“{$this->given[$key]}” is not a number.")) : null;
        $x = $this->excludes();
        $unknown = isset($this->given['u']) ? $this->given['u'] === '1' : null;

        return match ($this->field->test()) {
            Test::Any => Condition::any($this->field, array_map($this->code(...), $this->values()), $x, $unknown),
            Test::Range => Condition::range($this->field, $this->inDays($number('lo')), $this->inDays($number('hi')), $x, $unknown),
            Test::Query => Condition::query($this->field, $this->given['q'] ?? '', $x, $unknown),
            Test::Near => Condition::near($this->place(), $number('km') ?? throw new Mistake('Give the radius in km.'), $x, $unknown),
            Test::Sets => $this->field === Field::KeptOut || $this->values() !== [] ? Sets::condition($this->field, $subject, $this->values(), $x) : throw new Mistake('Choose at least one.'),
        };
    }

    /** What it asks, in words. */
    public function says(): string
    {
        $lo = $this->given['lo'] ?? null;
        $hi = $this->given['hi'] ?? null;

        return match ($this->field->test()) {
            Test::Range => match (true) {
                $lo === null => "up to $hi",
                $hi === null => "from $lo",
                default => "$lo – $hi",
            },
            Test::Query => $this->given['q'] ?? '',
            Test::Near => ($this->given['km'] ?? '?').' km around '.($this->given['q'] ?? '?'),
            default => $this->field === Field::KeptOut ? 'customers, competitors, keep-out' : implode(', ', array_map(fn (string $value): string => self::label($this->field, $value), array_map($this->code(...), $this->values()))),
        };
    }

    /** A value of a field as people read it. */
    public static function label(Field $field, string $value): string
    {
        return match ($field) {
            Field::Industry => lcfirst(Industries::name($value)),
            Field::Country => Countries::name($value) ?: $value,
            Field::Signal => Kind::tryFrom($value)?->label() ?? $value,
            Field::Owner => $value === 'nobody' ? 'nobody' : (string) (User::query()->find((int) $value)->name ?? $value),
            Field::ListOf => (string) (DB::table('lists')->where('id', (int) $value)->value('name') ?? 'a list that is gone'),
            Field::BusinessFunction => in_array($value, ['it', 'hr'], true) ? strtoupper($value) : str_replace('_', ' ', $value),
            Field::Channel => ['email_checked' => 'e-mail, checked', 'email' => 'e-mail', 'email_dead' => 'e-mail, dead', 'direct_phone' => 'direct phone', 'asked' => 'asked to be contacted'][$value] ?? $value,
            Field::Arrival => ['settled' => 'not new', 'unknown' => 'new, from where unknown', 'joined' => 'new, joined', 'promoted' => 'new, promoted', 'moved' => 'new, moved inside'][$value] ?? $value,
            default => str_replace('_', ' ', $value),
        };
    }

    /** A value as the index has it: names of countries, industries and kinds are read. */
    private function code(string $value): string
    {
        return match ($this->field) {
            Field::Country => Countries::code($value) ?? strtoupper($value),
            Field::Industry => preg_match('/^[A-Z]$|^\d{2,4}$/', $value) ? $value : Industries::read($value)[0] ?? $value,
            Field::PostalArea => str_replace(' ', '', $value),
            Field::Technology, Field::City, Field::Region => $value,
            default => str_replace(' ', '_', mb_strtolower($value)),
        };
    }

    private function inDays(?float $months): ?float
    {
        return $months === null || ! $this->field->countsBack() ? $months : round($months * self::DAYS_IN_MONTH);
    }

    /** @return array{float, float} */
    private function place(): array
    {
        $text = $this->given['q'] ?? throw new Mistake('Name the place.');
        if (preg_match('/^(-?\d+(?:\.\d+)?)\s*,\s*(-?\d+(?:\.\d+)?)$/', $text, $numbers)) {
            return [(float) $numbers[1], (float) $numbers[2]];
        }
        [$city, $country] = array_map(trim(...), explode(',', $text, 2)) + [1 => ''];
        $found = (new Gazetteer)->find($city, $country === '' ? null : Countries::code($country)) ?? throw new Mistake("The place “{$text}” is not known, or stands for several; add the country, as in “Halden, Norway”.");

        return [$found[0], $found[1]];
    }
}
