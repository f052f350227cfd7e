<?php

declare(strict_types=1);

namespace Luftig\Core\Profile;

/** What a criterion looks at. */
enum Field: string
{
    case Headcount = 'headcount';
    case Revenue = 'revenue';
    case Growth = 'growth';
    case Sites = 'sites';
    case Industries = 'industries';
    case Country = 'country';
    case Region = 'region';
    case PostalCode = 'postal_code';
    case Place = 'place';
    case Technologies = 'technologies';
    case Text = 'text';

    /** @return list<self> the fields that a test of this sort can look at */
    public static function testedBy(string $test): array
    {
        return match ($test) {
            'range' => [self::Headcount, self::Revenue, self::Growth, self::Sites],
            'any' => [self::Industries, self::Country, self::Region, self::PostalCode, self::Technologies],
            'within' => [self::Place],
            default => [self::Text],
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Revenue => 'revenue (EUR)',
            self::Growth => 'growth over a year',
            self::Sites => 'number of sites',
            self::Industries => 'industry (ISIC)',
            self::PostalCode => 'postal area',
            self::Place => 'distance from a place',
            self::Text => 'words they use',
            default => $this->value,
        };
    }
}
