<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

use App\Contacts\CareerSignals;
use App\Contacts\Doubles;
use App\Contacts\Titles;
use App\Intake\SignalRows;
use App\Models\Attribute;
use App\Support\AccountField;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;

/** Facts of accounts as they lie in the tables: read for comparing, changed, and entered by the thousand. */
final class StoredAccounts
{
    private const OWN = [
        'name', 'revenue', 'revenue_amount', 'revenue_currency', 'revenue_given', 'status', 'source',
    ];

    private const PLACE = [
        'account_id', 'headquarters', 'city', 'region', 'postal_code', 'country', 'latitude', 'longitude',
    ];

    /** @var array<string, Attribute> by the name that a file gives it */
    private array $attributes = [];

    /** @return list<string> what is one value in the table of accounts */
    public static function scalars(): array
    {
        return [...self::OWN, ...AccountField::columns()];
    }

    /**
     * @param  list<string>  $domains
     * @return array<string, array<string, mixed>> by domain
     */
    public function of(array $domains): array
    {
        $kept = DB::table('accounts')->whereIn('domain', $domains)->selectRaw('COALESCE(merged_into, id) AS id, domain')
            ->pluck('id', 'domain')->all();
        $accounts = $this->byId(array_values(array_unique($kept)));

        return array_map(fn (int $id): array => $accounts[$id], $kept);
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, array<string, mixed>> by id
     */
    public function byId(array $ids): array
    {
        $accounts = [];
        foreach (
            DB::table('accounts')->whereIn('id', $ids)->get(['id', 'domain', 'by_hand', ...self::scalars()]) as $row
        ) {
            $accounts[$row->id] = ['by_hand' => json_decode($row->by_hand ?? '[]', true)] + (array) $row;
            foreach (['growth', 'revenue', 'revenue_amount'] as $field) {
                if ($accounts[$row->id][$field] !== null) {
                    $accounts[$row->id][$field] = (float) $accounts[$row->id][$field];
                }
            }
        }
        foreach (DB::table('account_industry')->whereIn('account_id', $ids)->orderBy('position')->get() as $row) {
            $accounts[$row->account_id]['industries'][] = [$row->code, $row->label_id];
        }
        foreach (
            DB::table('account_technology')->whereIn('account_id', $ids)->orderBy('technology_id')->get() as $row
        ) {
            $accounts[$row->account_id]['technologies'][] = $row->technology_id;
        }
        foreach (DB::table('places')->whereIn('account_id', $ids)->orderBy('id')->get() as $row) {
            $place = Whereabouts::comparable((array) $row);
            if ($row->headquarters) {
                $accounts[$row->account_id]['place'] = $place;
            } else {
                $accounts[$row->account_id]['other_places'][] = $place;
            }
        }
        foreach (
            DB::table('account_attribute')->join('attributes', 'attributes.id', '=', 'attribute_id')
                ->whereIn('account_id', $ids)->orderBy('name')->get(['account_id', 'name', 'value']) as $row
        ) {
            $accounts[$row->account_id]['extras'][$row->name] = $row->value;
        }

        return $accounts;
    }

    /**
     * Writes fields of an account, composite ones too; also how an undo puts things back.
     *
     * @param  array<string, mixed>  $fields
     */
    public function change(int $id, array $fields): void
    {
        $scalars = array_intersect_key($fields, array_flip([...self::scalars(), 'parent_id', 'domain']));
        if (isset($scalars['name'])) {
            $scalars['name_key'] = CompanyName::of($scalars['name'])->key();
        }
        if (array_key_exists('by_hand', $fields)) {
            $scalars['by_hand'] = json_encode($fields['by_hand'], JSON_THROW_ON_ERROR);
        }
        DB::table('accounts')->where('id', $id)->update($scalars + ['stale' => true, 'updated_at' => now()]);
        if (array_key_exists('industries', $fields)) {
            DB::table('account_industry')->where('account_id', $id)->delete();
            Bulk::insert('account_industry', ['account_id', 'position', 'code', 'label_id'], self::industryRows(
                $id,
                $fields['industries'] ?? [],
            ));
        }
        if (array_key_exists('technologies', $fields)) {
            DB::table('account_technology')->where('account_id', $id)->delete();
            Bulk::insert('account_technology', ['account_id', 'technology_id'], self::technologyRows(
                $id,
                $fields['technologies'] ?? [],
            ));
        }
        foreach (['place' => true, 'other_places' => false] as $field => $headquarters) {
            if (array_key_exists($field, $fields)) {
                DB::table('places')->where('account_id', $id)->where('headquarters', $headquarters)->delete();
                $places = $headquarters ? array_filter([$fields[$field]]) : ($fields[$field] ?? []);
                Bulk::insert('places', self::PLACE, array_map(
                    fn (array $place): array => self::placeRow($id, $headquarters, $place),
                    array_values($places),
                ));
            }
        }
        if (array_key_exists('extras', $fields)) {
            DB::table('account_attribute')->where('account_id', $id)->delete();
            Bulk::insert('account_attribute', ['account_id', 'attribute_id', 'value'], $this->extraRows(
                $id,
                $fields['extras'] ?? [],
            ));
        }
        if (array_key_exists('headcount', $fields)) {
            SignalRows::restrengthen($id, $fields['headcount']);
        }
        // What a title says, and how much it decides, hangs on country and headcount.
        if (array_key_exists('headcount', $fields) || array_key_exists('place', $fields)) {
            (new Titles)->readAgainAt($id);
        }
        if (
            array_key_exists('headcount', $fields)
            || array_key_exists('place', $fields)
            || array_key_exists('name', $fields)
        ) {
            (new CareerSignals)->refreshAt($id);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $accounts
     * @return list<int>
     */
    public function create(array $accounts): array
    {
        $now = now()->toDateTimeString();
        $scalars = self::scalars();
        $rows = $keys = [];
        foreach ($accounts as $account) {
            $row = [];
            foreach ($scalars as $field) {
                $row[] = $account[$field] ?? null;
            }
            $keys[] = $row[] = CompanyName::of((string) $account['name'])->key();
            array_push($row, $account['domain'], 1, $now, $now, $now);
            $rows[] = $row;
        }
        $columns = [...$scalars, 'name_key', 'domain', 'confidence', 'seen_at', 'created_at', 'updated_at'];
        $ids = Bulk::insert('accounts', $columns, $rows);
        $industries = $technologies = $places = $extras = [];
        foreach ($accounts as $i => $account) {
            $id = $ids[$i];
            array_push($industries, ...self::industryRows($id, $account['industries'] ?? []));
            array_push($technologies, ...self::technologyRows($id, $account['technologies'] ?? []));
            array_push($extras, ...$this->extraRows($id, $account['extras'] ?? []));
            if (isset($account['place'])) {
                $places[] = self::placeRow($id, true, $account['place']);
            }
            foreach ($account['other_places'] ?? [] as $place) {
                $places[] = self::placeRow($id, false, $place);
            }
        }
        Bulk::insert('account_industry', ['account_id', 'position', 'code', 'label_id'], $industries);
        Bulk::insert('account_technology', ['account_id', 'technology_id'], $technologies);
        Bulk::insert('places', self::PLACE, $places);
        Bulk::insert('account_attribute', ['account_id', 'attribute_id', 'value'], $extras);
        Doubles::findAccounts($ids, $keys);

        return $ids;
    }

    /**
     * @param  list<array{string|null, int|null}>  $industries
     * @return list<list<int|string|null>>
     */
    private static function industryRows(int $id, array $industries): array
    {
        return array_map(
            fn (int $position, array $read): array => [$id, $position, $read[0], $read[1]],
            array_keys($industries),
            $industries,
        );
    }

    /**
     * @param  list<int>  $technologies
     * @return list<list<int>>
     */
    private static function technologyRows(int $id, array $technologies): array
    {
        return array_map(fn (int $technology): array => [$id, $technology], $technologies);
    }

    /**
     * @param  array<string, string>  $extras
     * @return list<list<int|string>>
     */
    private function extraRows(int $id, array $extras): array
    {
        $rows = [];
        foreach ($extras as $name => $value) {
            $rows[] = [$id, $this->attribute((string) $name)->id, $value];
        }

        return $rows;
    }

    /**
     * Facts of one's own under the names that they have here; of two that differ in large and small letters or accents
     * only, the first.
     *
     * @param  array<string, string>  $extras
     * @return array<string, string>
     */
    public function asNamed(array $extras): array
    {
        $named = [];
        foreach ($extras as $name => $value) {
            $named += [$this->attribute((string) $name)->name => $value];
        }

        return $named;
    }

    private function attribute(string $name): Attribute
    {
        return $this->attributes[$name] ??= Attribute::query()->firstOrCreate(['name' => mb_substr($name, 0, 100)]);
    }

    /**
     * @param  array<string, mixed>  $place
     * @return list<bool|float|int|string|null>
     */
    private static function placeRow(int $id, bool $headquarters, array $place): array
    {
        return [
            $id, $headquarters, $place['city'] ?? null, $place['region'] ?? null, $place['postal_code'] ?? null,
            $place['country'] ?? null, $place['latitude'] ?? null, $place['longitude'] ?? null,
        ];
    }
}
