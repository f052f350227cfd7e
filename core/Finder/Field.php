<?php

declare(strict_types=1);

namespace Luftig\Core\Finder;

/** What a condition can be about. */
enum Field: string
{
    case Industry = 'industry';
    case Country = 'country';
    case Region = 'region';
    case City = 'city';
    case PostalArea = 'postal_area';
    case Near = 'near';
    case Headcount = 'headcount';
    case Revenue = 'revenue';
    case Growth = 'growth';
    case Sites = 'sites';
    case Founded = 'founded';
    case Technology = 'technology';
    case Name = 'name';
    case Words = 'words';
    case KnownContacts = 'known_contacts';
    case Signal = 'signal';
    case NewestSignal = 'newest_signal';
    case State = 'state';
    case Fit = 'fit';
    case Timing = 'timing';
    case Access = 'access';
    case Priority = 'priority';
    case Owner = 'owner';
    case LastApproach = 'last_approach';
    case Title = 'title';
    case TitleBefore = 'title_before';
    case CompanyBefore = 'company_before';
    case About = 'about';
    case Seniority = 'seniority';
    case BusinessFunction = 'function';
    case Part = 'part';
    case InPost = 'in_post';
    case InCompany = 'in_company';
    case Arrival = 'arrival';
    case Channel = 'channel';
    case Work = 'work';
    case ListOf = 'list';
    case KeptOut = 'kept_out';

    public function test(): Test
    {
        return match ($this) {
            self::Headcount, self::Revenue, self::Growth, self::Sites, self::Founded, self::KnownContacts, self::NewestSignal, self::LastApproach, self::Fit, self::Timing, self::Access, self::Priority, self::InPost, self::InCompany => Test::Range,
            self::Name, self::Words, self::Title, self::TitleBefore, self::CompanyBefore, self::About => Test::Query,
            self::Near => Test::Near,
            self::Work, self::ListOf, self::KeptOut => Test::Sets,
            default => Test::Any,
        };
    }

    /** Whether it is a fact of a contact, and not of the account. */
    public function isOfContact(): bool
    {
        return match ($this) {
            self::Title, self::TitleBefore, self::CompanyBefore, self::About, self::Seniority, self::BusinessFunction, self::Part, self::InPost, self::InCompany, self::Arrival, self::Channel => true,
            default => false,
        };
    }

    public function suits(Subject $subject): bool
    {
        return $subject === Subject::Contacts || ! $this->isOfContact();
    }

    /**
     * A number as the index holds it: whole and from 0. Both a value and a bound go through here, so that they compare as the
     * numbers do, to the precision stated.
     */
    public function scaled(float $value): int
    {
        return (int) max(0, round(match ($this) {
            self::Revenue => $value / 1000,
            self::Growth => ($value + 1) * 1000,
            self::Fit, self::Timing, self::Access => $value * 1000,
            self::Priority => $value * 10,
            default => $value,
        }));
    }

    /** Days a range counts back from today, rather than the numbers themselves. */
    public function countsBack(): bool
    {
        return in_array($this, [self::InPost, self::InCompany, self::NewestSignal, self::LastApproach], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::PostalArea => 'postal area',
            self::Near => 'near a place',
            self::Revenue => 'revenue (EUR)',
            self::Growth => 'growth over a year',
            self::Words => 'words they use',
            self::Name => 'name of the account',
            self::KnownContacts => 'contacts known',
            self::Signal => 'live signal',
            self::NewestSignal => 'newest signal (months ago)',
            self::LastApproach => 'last approach (months ago)',
            self::TitleBefore => 'title before',
            self::CompanyBefore => 'company before',
            self::InPost => 'in the post (months)',
            self::InCompany => 'in the company (months)',
            self::Arrival => 'how they came to the post',
            self::Work => 'new, kept, in work',
            self::KeptOut => 'kept out',
            default => $this->value,
        };
    }
}
