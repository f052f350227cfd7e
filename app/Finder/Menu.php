<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\KeptList;
use App\Models\Relation;
use App\Models\Station;
use App\Models\Tag;
use App\Support\AccountField;
use Luftig\Core\Search\Field;

/** The conditions as they are offered, those together that a rep looks for together. */
final class Menu
{
    /** Counted beside the results at first. */
    private const COUNTED = [
        Field::Industry, Field::Country, Field::City, Field::Headcount, Field::Technology, Field::Signal, Field::State,
        Field::Seniority, Field::BusinessFunction, Field::BuyerRole, Field::Part, Field::Arrival, Field::Channel,
    ];

    /** @return array<string, list<Field>> those that suit, and of which there are facts */
    public static function of(Search $search): array
    {
        return array_filter(array_map(
            fn (array $fields): array => array_values(array_filter(
                $fields,
                fn (Field $field): bool => $field->suits($search->subject)
                    && $search->knows($field)
                    && self::canBeChosen($field),
            )),
            self::groups(),
        ));
    }

    /** @return array<string, list<Field>> */
    private static function groups(): array
    {
        return [
            'Who they are' => [
                Field::Title, Field::BusinessFunction, Field::Seniority, Field::BuyerRole, Field::Part,
                Field::InPosition, Field::InCompany, Field::AtWork, Field::Arrival, Field::Before, Field::Origin,
                Field::About,
                Field::OwnCountry, Field::OwnCity, Field::Language, Field::School, Field::Association,
            ],
            'The way to them' => [Field::Reach, Field::Channel, Field::Engaged],
            'The account' => [
                Field::Name, Field::Domain, Field::Parent, Field::Industry, Field::MainIndustry, Field::Country,
                Field::Region, Field::City, Field::PostalArea, Field::Near, ...array_values(AccountField::conditions()),
                Field::Revenue, Field::Spending, Field::Technology, Field::Words, Field::Alike, Field::Attribute,
                Field::KnownContacts,
            ],
            'How it stands' => [
                Field::Event, Field::Opening, Field::Signal, Field::NewestSignal, Field::State, Field::Fit,
                Field::Coverage, Field::Timing, Field::Access, Field::Priority,
            ],
            'Our work' => [
                Field::Owner, Field::Approached, Field::LastApproach, Field::Work, Field::ListOf, Field::Tag,
                Field::KeptOut,
            ],
        ];
    }

    /** Of what is kept outside the index there may be nothing yet. */
    private static function canBeChosen(Field $field): bool
    {
        return match ($field) {
            Field::ListOf => KeptList::query()->exists(),
            Field::Tag => Tag::query()->exists(),
            Field::Reach => Relation::query()->exists() || Station::query()->exists(),
            default => true,
        };
    }

    /** @return list<Field> those whose values are counted beside the results */
    public static function counted(Search $search, bool $all): array
    {
        $fields = array_merge(...array_values($search->menu()));

        return array_values(array_filter(
            $fields,
            fn (Field $field): bool => $all
                ? $field->isCounted() || Bands::of($field) !== []
                : in_array($field, self::COUNTED, true),
        ));
    }
}
