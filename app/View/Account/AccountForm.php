<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Models\Place;
use App\Support\AccountField;
use App\Support\Countries;
use App\Support\FieldKind;
use App\Support\Format;
use Luftig\Core\Company\Industries;

/** An account as the fields of a form: a new one, or one that is corrected. */
final readonly class AccountForm
{
    private const STATUSES = [
        '' => 'as it is', 'none' => 'neither competitor nor agency', 'competitor' => 'a competitor',
        'agency' => 'an agency',
    ];

    public function __construct(public ?Account $account)
    {
    }

    public function title(): string
    {
        return $this->account === null ? 'Add an account' : "Correct {$this->account->name}";
    }

    public function to(): string
    {
        return $this->account === null
            ? route('accounts.store')
            : route('accounts.correct', $this->account);
    }

    public function back(): string
    {
        return $this->account === null ? route('accounts.index') : route('accounts.show', $this->account);
    }

    /** @return list<array{name: string, label: string, value: string, hint: string|null, isLong: bool}> */
    public function fields(): array
    {
        return array_map(fn (string $name, array $field): array => [
            'name' => $name, 'label' => $field[0], 'value' => $this->value($name), 'hint' => $field[1] ?? null,
            'isLong' => in_array($name, ['keywords', 'description'], true),
        ], array_keys(self::labels()), self::labels());
    }

    /** @return array<string, string> */
    public function statuses(): array
    {
        return self::STATUSES;
    }

    /** @return array<string, list<string>> field → label, hint */
    private static function labels(): array
    {
        return [
            'name' => ['Name'], 'domain' => ['Website or domain', 'by which files find it; it can be left out'],
            'industry' => ['Industry', 'a label or a code; several parted by ;'], 'headcount' => ['Heads'],
            'revenue' => ['Revenue', '1,5 Mio EUR, 20 MSEK'], 'growth' => ['Growth over a year', '5 %'],
            'founded' => ['Founded'], 'country' => ['Country'], 'region' => ['Region'], 'city' => ['City'],
            'postal_code' => ['Postal code'],
            'other_sites' => ['One more place', 'Aalborg; Malmö (Sweden)'],
            'customer_since' => ['Customer since', '3/2024; customers are kept out'],
            'customer_until' => ['Customer until'],
            'technologies' => ['What they run', 'all of it, parted by ;'], 'keywords' => ['Keywords'],
            'description' => ['Description'],
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @return array<string, string> those that say something else than what is there
     */
    public function changed(array $cells): array
    {
        return array_filter(
            $cells,
            fn (string $cell, string $name): bool => in_array($name, ['status', 'customer_best'], true)
                || $cell !== $this->stored($name),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    private function value(string $name): string
    {
        $typed = old($name);

        return is_string($typed) ? $typed : $this->stored($name);
    }

    private function stored(string $name): string
    {
        if ($this->account === null) {
            return '';
        }
        $account = $this->account;
        $home = $account->places->first(fn (Place $place): bool => (bool) $place->headquarters);

        return (string) match ($name) {
            'industry' => $account->industries->pluck('code')->filter()
                ->map(fn (mixed $code): string => $code.' '.explode(';', Industries::name((string) $code))[0])
                ->implode('; ').';',
            'revenue' => $account->revenue_amount === null
                ? ''
                : Format::number($account->revenue_amount)." {$account->revenue_currency}",
            'country' => Countries::name($home?->country), 'region' => $home?->region, 'city' => $home?->city,
            'postal_code' => $home?->postal_code, 'other_sites' => '',
            'technologies' => $account->technologies->pluck('name')->implode('; '),
            'customer_since', 'customer_until' => '',
            'headcount' => $account->headcount,
            default => self::shown($name, $account->getAttribute($name)),
        };
    }

    private static function shown(string $name, mixed $value): string
    {
        $kind = (AccountField::all()[$name] ?? null)?->kind;

        return match (true) {
            $value === null => '',
            $kind === FieldKind::Growth => round(100 * (float) $value, 4).' %',
            default => is_scalar($value) ? (string) $value : '',
        };
    }
}
