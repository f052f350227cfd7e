<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

use App\Intake\Cells;
use App\Intake\RejectedRow;
use App\Support\AccountField;
use App\Support\FieldKind;
use App\Support\Figure;

/** One row of a file of accounts, read; what it leaves blank is absent. */
final readonly class AccountReading
{
    private const STATUSES = [
        'competitor' => ['rival', 'wettbewerber', 'konkurrent', 'konkurrencja', 'kilpailija'],
        'agency' => ['recruiter', 'hiring agency', 'staffing', 'personalvermittlung', 'bemanning'],
        'none' => ['', 'prospect', 'account'],
    ];

    /** @return list<string> */
    public static function statuses(): array
    {
        return array_keys(self::STATUSES);
    }

    /** In a year; more is meant as per cent without their sign. */
    private const GROWTH = 3;

    private const NAME = 255;

    private const LONGEST = 5000;

    private function __construct(private Cells $row)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws RejectedRow where the account cannot be told by it
     */
    public static function of(Cells $row): array
    {
        $reading = new self($row);
        $domain = $reading->row->domain('domain');
        if ($domain === null && ! $row->has('name')) {
            throw new RejectedRow('Neither a website nor a name says which account this is.');
        }

        return ['domain' => $domain] + array_filter([
            'name' => $reading->name(),
            'source' => $reading->row->text('source', 80),
            'status' => $reading->status(),
        ], fn (?string $value): bool => $value !== null)
            + $reading->fields() + $reading->revenue() + $reading->place() + $reading->lists()
            + $reading->parent((string) $domain) + $reading->extras();
    }

    /** @return array<string, mixed> the facts that are one value each */
    private function fields(): array
    {
        $record = [];
        foreach (AccountField::all() as $column => $field) {
            $value = match ($field->kind) {
                FieldKind::Count => $this->count($field),
                FieldKind::Growth => $this->growth($column),
                FieldKind::Year => $this->year($column),
                FieldKind::Text => $this->row->text($column, $field->most),
                FieldKind::Words => $this->words($field),
            };
            if ($value !== null) {
                $record[$column] = $value;
                if ($field->keepsWording) {
                    $record[$column.'_given'] = $this->row->count($column)?->given;
                }
            }
        }

        return $record;
    }

    private function count(AccountField $field): ?int
    {
        $count = $this->row->count($field->column);

        return $count === null ? null : (int) min($field->most, round($count->value));
    }

    private function growth(string $column): ?float
    {
        $value = $this->row->figure($column)?->value;

        return $value !== null && abs($value) > self::GROWTH ? $value / 100 : $value;
    }

    /** 1961, or with words around it: founded in 1961, seit 1961. A century is none, nor are two years. */
    private function year(string $column): ?int
    {
        $text = $this->row->all()[$column] ?? null;
        if ($text === null) {
            return null;
        }
        $pattern = '/^(?:\D*[^\d.,])?(1\d{3}|20\d{2}|2100)(?:[.,]0+)?\s*(?:r|roku|e)?\.?$/u';
        $isOne = preg_match($pattern, $text, $year) === 1;

        return $isOne ? (int) $year[1] : $this->row->leave($column);
    }

    private function words(AccountField $field): ?string
    {
        $words = implode('; ', $this->row->list($field->column));

        return match (true) {
            $words === '' => null,
            mb_strlen($words) > $field->most => $this->row->leave($field->column),
            default => $words,
        };
    }

    /** @throws RejectedRow where it is longer than there is room for */
    private function name(): ?string
    {
        return $this->row->has('name') ? $this->row->needed('name', 'The name', self::NAME) : null;
    }

    private function status(): ?string
    {
        $status = $this->row->choice('status', self::STATUSES);

        return $status === 'none' ? null : $status;
    }

    /** @return array<string, mixed> */
    private function revenue(): array
    {
        $revenue = $this->row->figure('revenue');
        if ($revenue === null) {
            return [];
        }
        $currency = $this->currency($revenue);

        return [
            'revenue' => Cells::inEur($revenue->value, $currency),
            'revenue_amount' => $revenue->value,
            'revenue_currency' => $currency,
            'revenue_given' => $revenue->given,
        ];
    }

    private function currency(Figure $amount): string
    {
        $written = $this->row->text('revenue_currency', 20);
        $stated = $written === null ? null : Figure::read("1 $written")?->currency;
        $currency = $stated ?? $amount->currency ?? strtoupper($this->row->text('revenue_currency', 3) ?? 'EUR');

        return $currency !== Figure::CROWNS
            ? $currency
            : ['NO' => 'NOK', 'DK' => 'DKK'][(string) $this->row->country('country')] ?? 'SEK';
    }

    /** @return array<string, mixed> */
    private function place(): array
    {
        $place = array_filter([
            'city' => $this->row->text('city', 100),
            'region' => $this->row->text('region', 80),
            'postal_code' => $this->row->text('postal_code', 12),
            'country' => $this->row->country('country'),
            'latitude' => $this->row->figure('latitude')?->value,
            'longitude' => $this->row->figure('longitude')?->value,
        ], fn ($value): bool => $value !== null);

        return $place === [] ? [] : ['place' => $place];
    }

    /** @return array<string, list<string>> */
    private function lists(): array
    {
        $lists = [];
        $names = ['industry' => 'industries', 'technologies' => 'technologies', 'other_sites' => 'other_sites'];
        foreach ($names as $field => $as) {
            if ($this->row->has($field)) {
                $lists[$as] = $field === 'industry' && $this->isOneLabel($this->row->all()[$field])
                    ? [trim($this->row->all()[$field])]
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
        $parent = $this->row->otherDomain('parent');

        return $parent === null || $parent === $domain ? [] : ['parent' => $parent];
    }

    /** @return array<string, array<string, string>> */
    private function extras(): array
    {
        $extras = [];
        foreach (array_keys($this->row->all()) as $field) {
            $text = str_starts_with($field, 'extras:') ? $this->row->text($field, self::LONGEST) : null;
            if ($text !== null) {
                $extras[substr($field, 7)] = $text;
            }
        }

        return $extras === [] ? [] : ['extras' => $extras];
    }
}
