<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

use App\Intake\Cells;
use App\Intake\RejectedRow;
use App\Support\AccountField;
use App\Support\FieldKind;

/** One row of a file of accounts, read; what it leaves blank is absent. */
final readonly class AccountReading
{
    private const STATUSES = [
        'competitor' => ['rival', 'wettbewerber', 'konkurrent', 'konkurrencja', 'kilpailija'],
        'agency' => ['recruiter', 'hiring agency', 'staffing', 'personalvermittlung', 'bemanning'],
        'none' => ['', 'prospect', 'account'],
    ];

    /** In a year; more is meant as per cent without their sign. */
    private const GROWTH = 3;

    private Cells $row;

    /** @param  array<string, string>  $cells */
    private function __construct(private array $cells)
    {
        $this->row = new Cells($cells);
    }

    /**
     * @param  array<string, string>  $cells  by field, trimmed, not empty
     * @return array<string, mixed>
     *
     * @throws RejectedRow
     */
    public static function of(array $cells): array
    {
        $reading = new self($cells);
        $domain = $reading->row->domain('domain')
            ?? throw new RejectedRow('The domain is missing; an account is joined by its domain, never by name alone.');

        return ['domain' => $domain] + array_filter([
            'name' => $reading->row->text('name'),
            'source' => $reading->row->text('source', 80),
            'status' => $reading->status(),
        ], fn (?string $value): bool => $value !== null)
            + $reading->fields() + $reading->revenue() + $reading->place() + $reading->lists()
            + $reading->parent($domain) + $reading->extras();
    }

    /** @return array<string, mixed> the facts that are one value each */
    private function fields(): array
    {
        $record = [];
        foreach (AccountField::all() as $column => $field) {
            $what = 'The '.lcfirst($field->label);
            $value = match ($field->kind) {
                FieldKind::Count => $this->count($field, $what),
                FieldKind::Growth => $this->growth($column, $what),
                FieldKind::Year => $this->year($column, $what),
                FieldKind::Text => $this->row->text($column, $field->most),
                FieldKind::Words => isset($this->cells[$column])
                    ? mb_substr(implode('; ', $this->row->list($column)), 0, $field->most)
                    : null,
            };
            if ($value !== null) {
                $record[$column] = $value;
                if ($field->keepsWording) {
                    $record[$column.'_given'] = $this->row->count($column, $what)?->given;
                }
            }
        }

        return $record;
    }

    private function count(AccountField $field, string $what): ?int
    {
        $count = $this->row->count($field->column, $what);

        return $count === null ? null : (int) min($field->most, round($count->value));
    }

    private function growth(string $column, string $what): ?float
    {
        $value = $this->row->figure($column, $what)?->value;

        return $value !== null && abs($value) > self::GROWTH ? $value / 100 : $value;
    }

    private function year(string $column, string $what): ?int
    {
        $value = $this->row->figure($column, $what)?->value;

        return match (true) {
            $value === null => null,
            $value >= 1000 && $value <= 2100 => (int) $value,
            default => throw new RejectedRow("“{$this->cells[$column]}” is not a year."),
        };
    }

    private function status(): ?string
    {
        $status = $this->row->choice('status', 'The status', self::STATUSES);

        return $status === 'none' ? null : $status;
    }

    /** @return array<string, mixed> */
    private function revenue(): array
    {
        $revenue = $this->row->figure('revenue', 'The revenue');
        if ($revenue === null) {
            return [];
        }
        $currency = strtoupper($this->row->text('revenue_currency', 3) ?? $revenue->currency ?? 'EUR');

        return [
            'revenue' => Cells::inEur($revenue->value, $currency),
            'revenue_amount' => $revenue->value,
            'revenue_currency' => $currency,
            'revenue_given' => $revenue->given,
        ];
    }

    /** @return array<string, mixed> */
    private function place(): array
    {
        $place = array_filter([
            'city' => $this->row->text('city', 100),
            'region' => $this->row->text('region', 80),
            'postal_code' => $this->row->text('postal_code', 12),
            'country' => $this->row->country('country'),
            'latitude' => $this->row->figure('latitude', 'The latitude')?->value,
            'longitude' => $this->row->figure('longitude', 'The longitude')?->value,
        ], fn ($value): bool => $value !== null);

        return $place === [] ? [] : ['place' => $place];
    }

    /** @return array<string, list<string>> */
    private function lists(): array
    {
        $lists = [];
        $names = ['industry' => 'industries', 'technologies' => 'technologies', 'other_sites' => 'other_sites'];
        foreach ($names as $field => $as) {
            if (isset($this->cells[$field])) {
                $lists[$as] = $field === 'industry' && $this->isOneLabel($this->cells[$field])
                    ? [trim($this->cells[$field])]
                    : $this->row->list($field);
            }
        }

        return $lists;
    }

    /** A label such as "Glass, ceramics and other mineral products" has commas of its own. */
    private function isOneLabel(string $text): bool
    {
        return preg_match('/[;|]/', $text) !== 1;
    }

    /** @return array<string, string> */
    private function parent(string $domain): array
    {
        $parent = $this->row->domain('parent');

        return $parent === null || $parent === $domain ? [] : ['parent' => $parent];
    }

    /** @return array<string, array<string, string>> */
    private function extras(): array
    {
        $extras = [];
        foreach ($this->cells as $field => $text) {
            if (str_starts_with($field, 'extras:')) {
                $extras[substr($field, 7)] = mb_substr($text, 0, 500);
            }
        }

        return $extras === [] ? [] : ['extras' => $extras];
    }
}
