<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

/** What a criterion looks at. */
enum CriterionField: string
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
    case Fact = 'fact';
    case Number = 'number';

    /** @return list<self> the fields that a test of this sort can look at */
    public static function testedBy(string $test): array
    {
        return array_values(array_filter(self::cases(), static fn (self $field): bool => $field->test() === $test));
    }

    /** How a criterion on this field is tested: range, any, within or query. */
    public function test(): string
    {
        return match ($this) {
            self::Headcount, self::Revenue, self::Growth, self::Sites, self::Number => 'range',
            self::Industries, self::Country, self::Region, self::PostalCode, self::Technologies,
            self::Fact => 'any',
            self::Place => 'within',
            self::Text => 'query',
        };
    }

    /** Whether it is on a fact that the team defined for itself, which is named beside it. */
    public function isOwn(): bool
    {
        return $this === self::Fact || $this === self::Number;
    }

    /** Whether the headquarters can be asked, or any site. */
    public function isOfSite(): bool
    {
        return in_array($this, [self::Country, self::Region, self::PostalCode, self::Place], true);
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
            self::Fact => 'a fact of our own',
            self::Number => 'a number of our own',
            default => $this->value,
        };
    }
}
