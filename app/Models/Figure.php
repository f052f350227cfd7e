<?php

declare(strict_types=1);

namespace App\Models;

/** A figure of a company that a service can know. */
enum Figure: string
{
    case Headcount = 'headcount';
    case Revenue = 'revenue';

    /** No company has more heads, or earns more. */
    private const MOST = ['headcount' => 10_000_000, 'revenue' => 10_000_000_000_000];

    public function label(): string
    {
        return $this === self::Headcount ? 'heads' : 'revenue';
    }

    /** As a service answers it; null: it is none. */
    public function read(mixed $value): ?string
    {
        $isOne = is_numeric($value) && $value > 0 && $value <= self::MOST[$this->value];

        return ! $isOne ? null : (string) ($this === self::Headcount ? (int) round((float) $value) : (float) $value);
    }

    public function isKnownOf(Account $account): bool
    {
        return $account->getAttribute($this->value) !== null;
    }

    /** @return array<string, float|int|string|null> columns of the account */
    public function columns(float $value): array
    {
        return $this === self::Headcount ? ['headcount' => (int) $value, 'headcount_given' => null]
            : ['revenue' => $value, 'revenue_amount' => $value, 'revenue_currency' => 'EUR', 'revenue_given' => null];
    }
}
