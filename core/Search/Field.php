<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

use Luftig\Core\Company\Technology;

/** What a condition can be about. */
enum Field: string
{
    case Industry = 'industry';
    case MainIndustry = 'main_industry';
    case Country = 'country';
    case Region = 'region';
    case City = 'city';
    case PostalArea = 'postal_area';
    case Near = 'near';
    case Headcount = 'headcount';
    case Revenue = 'revenue';
    case Spending = 'spending';
    case Growth = 'growth';
    case Sites = 'sites';
    case Founded = 'founded';
    case Parent = 'parent';
    case Technology = 'technology';
    case Attribute = 'attribute';
    case Name = 'name';
    case Domain = 'domain';
    case Words = 'words';
    case KnownContacts = 'known_contacts';
    case Signal = 'signal';
    case NewestSignal = 'newest_signal';
    case Event = 'event';
    case EventKind = 'event_kind';
    case EventAge = 'event_age';
    case EventStage = 'event_stage';
    case EventStrength = 'event_strength';
    case EventRound = 'event_round';
    case EventAmount = 'event_amount';
    case EventText = 'event_text';
    case Opening = 'opening';
    case OpeningTitle = 'opening_title';
    case OpeningText = 'opening_text';
    case OpeningPlace = 'opening_place';
    case OpeningAge = 'opening_age';
    case OpeningType = 'opening_type';
    case State = 'state';
    case Fit = 'fit';
    case Coverage = 'coverage';
    case Timing = 'timing';
    case Access = 'access';
    case Priority = 'priority';
    case Owner = 'owner';
    case LastApproach = 'last_approach';
    case Reach = 'reach';
    case Title = 'title';
    case Before = 'before';
    case BeforeTitle = 'before_title';
    case BeforeCompany = 'before_company';
    case BeforeEnded = 'before_ended';
    case About = 'about';
    case Seniority = 'seniority';
    case BusinessFunction = 'function';
    case BuyerRole = 'buyer_role';
    case Part = 'part';
    case InPosition = 'in_position';
    case InCompany = 'in_company';
    case AtWork = 'at_work';
    case Arrival = 'arrival';
    case Origin = 'origin';
    case OwnCountry = 'own_country';
    case OwnCity = 'own_city';
    case Language = 'language';
    case School = 'school';
    case Association = 'association';
    case Engaged = 'engaged';
    case Channel = 'channel';
    case Work = 'work';
    case Approached = 'approached';
    case ListOf = 'list';
    case Alike = 'alike';
    case Tag = 'tag';
    case KeptOut = 'kept_out';

    public function test(): Comparison
    {
        return match ($this) {
            self::Headcount, self::Revenue, self::Spending, self::Growth, self::Sites, self::Founded,
            self::KnownContacts, self::NewestSignal, self::LastApproach, self::Fit, self::Coverage, self::Timing,
            self::Access, self::Priority,
            self::InPosition, self::InCompany, self::AtWork, self::Engaged, self::EventAge, self::EventStrength,
            self::EventAmount, self::BeforeEnded, self::OpeningAge => Comparison::Range,
            self::Name, self::Words, self::Title, self::About, self::EventText, self::BeforeTitle,
            self::BeforeCompany, self::OpeningTitle, self::OpeningText, self::OpeningPlace => Comparison::Query,
            self::Near => Comparison::Near,
            self::Work, self::ListOf, self::Tag, self::KeptOut, self::Approached, self::Reach,
            self::Alike => Comparison::Sets,
            self::Event, self::Before, self::Opening => Comparison::Parts,
            default => Comparison::Any,
        };
    }

    /** Of whom or what it is a fact. */
    public function of(): Entity
    {
        return match ($this) {
            self::EventKind, self::EventAge, self::EventStage, self::EventStrength, self::EventRound, self::EventAmount,
            self::EventText => Entity::Event,
            self::OpeningTitle, self::OpeningText, self::OpeningPlace, self::OpeningAge,
            self::OpeningType => Entity::Opening,
            self::BeforeTitle, self::BeforeCompany, self::BeforeEnded => Entity::PositionBefore,
            self::Title, self::Before, self::About, self::Seniority, self::BusinessFunction, self::BuyerRole,
            self::Part, self::InPosition, self::InCompany, self::AtWork, self::Arrival, self::Origin,
            self::OwnCountry, self::OwnCity, self::Language, self::School, self::Association, self::Engaged,
            self::Channel, self::Reach => Entity::Contact,
            default => Entity::Account,
        };
    }

    /** Whether it is a fact of a contact, and not of the account. */
    public function isOfContact(): bool
    {
        return $this->of() === Entity::Contact;
    }

    public function suits(Subject $subject): bool
    {
        return $this->of() === Entity::Account || $this->of() === Entity::Contact && $subject === Subject::Contacts;
    }

    /**
     * The fields that are asked together, of one and the same signal, position or opening.
     *
     * @return list<self>
     */
    public function parts(): array
    {
        return match ($this) {
            self::Event => [
                self::EventKind, self::EventAge, self::EventStage, self::EventStrength, self::EventRound,
                self::EventAmount, self::EventText,
            ],
            self::Before => [self::BeforeTitle, self::BeforeCompany, self::BeforeEnded],
            self::Opening => [
                self::OpeningTitle, self::OpeningText, self::OpeningPlace, self::OpeningAge, self::OpeningType,
            ],
            default => [],
        };
    }

    /** Whether it has values that can be counted, rather than numbers or text. */
    public function isCounted(): bool
    {
        return $this->test() === Comparison::Any
            && ! in_array($this, [self::Attribute, self::Domain], true)
            && in_array($this->of(), [Entity::Account, Entity::Contact], true);
    }

    /** Whether its values are without end, as somebody wrote them: large and small letters do not tell them apart. */
    public function isName(): bool
    {
        return in_array(
            $this,
            [
                self::Region, self::City, self::PostalArea, self::Technology, self::Attribute, self::Parent,
                self::Domain, self::BuyerRole, self::OwnCity, self::Language, self::School, self::Association,
            ],
            true,
        );
    }

    /** What values have in common that are one, written in different ways. */
    public function spelled(string $value): string
    {
        return match (true) {
            $this === self::Technology => Technology::key($value) ?: mb_strtolower($value),
            $this->isName() => mb_strtolower($value),
            default => $value,
        };
    }

    /** Whether it can be asked of the headquarters, or of any site. */
    public function isOfSite(): bool
    {
        return in_array($this, [self::Country, self::Region, self::City, self::PostalArea, self::Near], true);
    }

    /**
     * A number as the index holds it: whole and from 0. Both a value and a bound go through here, so that they compare
     * as the numbers do, to the precision stated.
     */
    public function scaled(float $value): int
    {
        [$plus, $times] = $this->scale();

        return (int) max(0, round(($value + $plus) * $times));
    }

    /**
     * @return array{int, float} what is added to a number, and by what it is then multiplied, to be held by the index
     */
    public function scale(): array
    {
        return match ($this) {
            self::Revenue, self::EventAmount => [0, .001],
            self::Growth => [1, 1000.0],
            self::Fit, self::Coverage, self::Timing, self::Access, self::EventStrength => [0, 1000.0],
            self::Priority => [0, 10.0],
            default => [0, 1.0],
        };
    }

    /** Days a range counts back from today, rather than the numbers themselves. */
    public function countsBack(): bool
    {
        return in_array(
            $this,
            [
                self::InPosition, self::InCompany, self::AtWork, self::Engaged, self::NewestSignal, self::LastApproach,
                self::EventAge, self::BeforeEnded, self::OpeningAge,
            ],
            true,
        );
    }

    public function label(): string
    {
        return match ($this) {
            self::MainIndustry => 'main industry',
            self::PostalArea => 'postal area',
            self::Near => 'near a place',
            self::Revenue => 'revenue (EUR)',
            self::Spending => 'affordable',
            self::Parent => 'parent',
            self::Attribute => 'extra attribute',
            self::Words => 'words they use',
            self::Name => 'name of the account',
            self::KnownContacts => 'contacts known',
            self::Signal => 'live signal',
            self::NewestSignal => 'newest signal (months ago)',
            self::Event => 'a signal',
            self::EventKind,
            self::EventText,
            self::EventAge,
            self::EventStage,
            self::EventStrength,
            self::EventRound,
            self::EventAmount => [
                'event_kind' => 'kind', 'event_text' => 'words in it', 'event_age' => 'days ago',
                'event_stage' => 'state', 'event_strength' => 'strength', 'event_round' => 'funding round',
                'event_amount' => 'amount (EUR)',
            ][$this->value],
            self::Opening => 'an opening',
            self::OpeningTitle => 'title sought',
            self::OpeningText => 'words of the posting',
            self::OpeningPlace => 'place sought for',
            self::OpeningAge => 'newest posting, days ago',
            self::OpeningType => 'employment type',
            self::LastApproach => 'last approach (months ago)',
            self::Reach => 'in reach',
            self::Alike => 'alike to …',
            self::Before => 'a position before',
            self::BeforeTitle => 'title',
            self::BeforeCompany => 'company',
            self::BeforeEnded => 'ended, months ago',
            self::BuyerRole => 'buyer role',
            self::InPosition => 'in the position (months)',
            self::InCompany => 'in the company (months)',
            self::AtWork => 'at work in all (months)',
            self::Arrival => 'how they came there',
            self::Origin => 'came from',
            self::OwnCountry => 'own country',
            self::OwnCity => 'own town',
            self::Engaged => 'wrote or reacted (months ago)',
            self::Work => 'new, kept, in work',
            self::KeptOut => 'kept out',
            default => $this->value,
        };
    }
}
