<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\AccountField;
use App\Support\Districts;
use Luftig\Core\Company\IndustryTree;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Signal\Timing;
use Luftig\Core\Text\Fold;

/** What the Finder knows of an account, made of the rows that tell of it. */
final class AccountRecord
{
    /** Those who are out stand last. */
    public const OUT = -1000;

    /** Ranked accounts first, then those who wait, last those who are out; within each by points, which are fewer. */
    private const ORDER = ['ranked' => 1000, 'waiting' => 0, '' => 0, 'out' => self::OUT, 'kept_out' => self::OUT];

    /** @var array<array-key, list<string>> industry → all it lies in */
    private array $paths = [];

    /** @param  list<string>  $roles  names of the buyer roles */
    public function __construct(private readonly array $roles, private readonly Districts $districts)
    {
    }

    /**
     * @param  array<string, mixed>  $row  columns of the account and of its standing
     * @param  array<string, list<list<mixed>>>  $facts  its industries with their position, technologies, attributes
     *     with their value, and places
     * @param  list<Record>  $contacts
     * @param  list<Record>  $events
     * @param  int|null  $newest  day of its newest signal, since 1970
     * @param  array<int, list<mixed>>  $ranked  contact → id, priority, part, buyer role
     * @param  list<Record>|null  $openings
     */
    public function of(
        array $row,
        array $facts,
        array $contacts,
        array $events,
        ?int $newest,
        array $ranked,
        ?array $openings,
    ): Record {
        $places = $facts['place'] ?? [];
        $industries = array_column($facts['industry'] ?? [], 0, 1);
        ksort($industries);
        $values = [
            Field::Owner->value => [(string) ($row['owner_id'] ?? 'nobody')],
            Field::Signal->value => array_values(
                array_unique(array_column(json_decode($row['lines'] ?? '[]', true), 1)),
            ),
        ]
            + $this->placeValues($places);
        if ($industries !== []) {
            $values[Field::Industry->value] = array_values(
                array_unique(array_merge(...array_values(array_map($this->path(...), $industries)))),
            );
            $values[Field::MainIndustry->value] = $this->path(reset($industries));
        }
        if (isset($facts['technology'])) {
            $values[Field::Technology->value] = array_column($facts['technology'], 0);
        }
        foreach ($facts['attribute'] ?? [] as [$attribute, $value]) {
            $values[Condition::named(Field::Attribute, mb_strtolower($attribute))] = ['*', $value];
        }
        $values += array_map(static fn (string $value): array => [$value], array_filter(
            [
                Field::State->value => $row['state'], Field::Parent->value => $row['parent'],
                Field::Domain->value => $row['domain'],
            ],
            is_string(...),
        ));
        $coordinates = [];
        foreach ($places as [$isSeat, , , , , $latitude, $longitude]) {
            if ($latitude !== null) {
                $coordinates[] = [(float) $latitude, (float) $longitude, (bool) $isSeat];
            }
        }
        $numbers = array_filter([
            ...self::ownNumbers($row), Field::Revenue->value => $row['revenue'], Field::Fit->value => $row['fit'],
            Field::Coverage->value => $row['coverage'],
            Field::Timing->value => $row['push'] === null ? null : Timing::shown((float) $row['push']),
            Field::Access->value => $row['access'], Field::Priority->value => $row['priority'],
            Field::KnownContacts->value => count($contacts), Field::NewestSignal->value => $newest,
            Field::LastApproach->value => $row['approached'],
        ], static fn ($value): bool => $value !== null);
        $numbers += self::trends($row['trends']);
        if ($row['state'] !== null) {
            $inRole = array_count_values(array_filter(array_column($ranked, 3), is_int(...)));
            foreach ($this->roles as $i => $role) {
                $numbers[Condition::named(Field::KnownContacts, mb_strtolower($role))] = $inRole[$i] ?? 0;
            }
        }

        return new Record(
            $row['id'],
            $values,
            $numbers,
            [
                Field::Name->value => Fold::line($row['name']),
                Field::Words->value => Passage::line(
                    $row['name'], $row['keywords'], $row['description'], $row['site'],
                ),
            ],
            $coordinates === [] ? null : $coordinates,
            $contacts,
            self::ORDER[$row['state']] + (float) $row['points'],
            $events,
            $openings,
        );
    }

    /**
     * Heads of functions, and how far heads went up over some months, of all and of each function.
     *
     * @return array<string, float|int>
     */
    private static function trends(?string $says): array
    {
        $numbers = [];
        foreach (json_decode($says ?? '[]', true) as $function => $trend) {
            if ($function !== '') {
                $numbers[Condition::named(Field::Headcount, (string) $function)] = $trend['heads'];
            }
            foreach ($trend['changes'] as $months => $change) {
                $numbers[Condition::named(Field::Growth, trim("$months $function"))] = $change;
            }
        }

        return $numbers;
    }

    /**
     * @param  list<list<mixed>>  $places
     * @return array<string, list<string>> of the headquarters, and of all sites
     */
    private function placeValues(array $places): array
    {
        $values = [];
        foreach ($places as [$isSeat, $country, $region, $city, $postal, $latitude, $longitude]) {
            $code = str_replace(' ', '', (string) $postal);
            $own = [
                Field::Country->value => $country === null ? [] : [$country],
                Field::Region->value => $region === null ? [] : [$region],
                // A city counts with its districts.
                Field::City->value => $city === null ? [] : array_values(array_unique(array_filter(
                    [$city, $this->districts->cityOf($city, $country, $latitude, $longitude)],
                ))),
                Field::PostalArea->value => $code === '' ? [] : array_map(
                    static fn (int $length): string => substr($code, 0, $length),
                    range(1, min(5, strlen($code))),
                ),
            ];
            foreach (array_filter($own) as $field => $found) {
                $values["$field:any"] = array_values(array_unique([...$values["$field:any"] ?? [], ...$found]));
                if ((bool) $isSeat) {
                    $values[$field] = $found;
                }
            }
        }

        return $values;
    }

    /** @return list<string> */
    private function path(string $industry): array
    {
        return $this->paths[$industry] ??= IndustryTree::path($industry);
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, float|int|null> what an account tells of itself in numbers
     */
    private static function ownNumbers(array $row): array
    {
        $numbers = [];
        foreach (AccountField::conditions() as $column => $condition) {
            $numbers[$condition->value] = $row[$column];
        }

        return $numbers;
    }
}
