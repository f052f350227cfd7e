<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Contacts\Doubles;
use App\Contacts\Titles;
use App\Support\Bulk;
use App\Support\Countries;
use App\Support\Gazetteer;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;

/** Accounts: joined by domain, blank cells change nothing. */
final class AccountRows implements RowReader
{
    private const SCALARS = [
        'name', 'description', 'keywords', 'founded', 'headcount', 'headcount_given', 'growth',
        'revenue', 'revenue_amount', 'revenue_currency', 'revenue_given', 'sites', 'status', 'source',
    ];

    private const INSERTED = [
        ...self::SCALARS, 'name_key', 'domain', 'confidence', 'seen_at', 'created_at', 'updated_at',
    ];

    private const STATUSES = [
        'competitor' => ['rival', 'wettbewerber', 'konkurrent', 'konkurrencja', 'kilpailija'],
        'agency' => ['recruiter', 'hiring agency', 'staffing', 'personalvermittlung', 'bemanning'],
        'none' => ['', '-', 'prospect', 'account'],
    ];

    /** @var array<string, int> */
    private array $technologies = [];

    /** @var array<string, int> */
    private array $attributes = [];

    public function __construct(
        private readonly Gazetteer $gazetteer = new Gazetteer,
        private readonly IndustryLabels $labels = new IndustryLabels,
    ) {
    }

    public static function columns(): array
    {
        return [
            'domain' => new FileColumn(
                'Domain or web address',
                [
                    'domain', 'web', 'website', 'web address', 'url', 'homepage', 'webseite', 'internet', 'webbplats',
                    'hemsida', 'hjemmeside', 'nettside', 'strona', 'strona www', 'verkkosivu', 'site web', 'www',
                ],
                'tunhede.example',
                true,
            ),
            'name' => new FileColumn(
                'Name',
                [
                    'name', 'company', 'company name', 'account', 'account name', 'firma', 'firmenname', 'unternehmen',
                    'foretag', 'foretagsnamn', 'bedrijf', 'bedrijfsnaam', 'virksomhed', 'bedrift', 'nazwa',
                    'nazwa firmy', 'yritys', 'entreprise', 'societe', 'namn', 'navn', 'naam',
                ],
                'Glasverk Tunhede',
                true,
            ),
            'industry' => new FileColumn(
                'Industry (label or ISIC; the main one first)',
                [
                    'industry', 'industries', 'sector', 'branche', 'bransch', 'industri', 'isic', 'nace', 'branza',
                    'toimiala', 'secteur', 'bransje',
                ],
                'glass',
            ),
            'headcount' => new FileColumn(
                'Headcount',
                [
                    'headcount', 'heads', 'employees', 'number of employees', 'staff', 'size', 'mitarbeiter',
                    'mitarbeiterzahl', 'anstallda', 'antal anstallda', 'ansatte', 'antal ansatte', 'medewerkers',
                    'werknemers', 'pracownicy', 'liczba pracownikow', 'henkilosto', 'effectif',
                ],
                '420',
            ),
            'growth' => new FileColumn(
                'Growth of headcount over a year',
                ['growth', 'headcount growth', 'wachstum', 'tillvaxt', 'vaekst', 'groei', 'wzrost'],
                '11 %',
            ),
            'revenue' => new FileColumn(
                'Revenue',
                [
                    'revenue', 'turnover', 'sales', 'umsatz', 'omsattning', 'omsaetning', 'omsetning', 'omzet',
                    'przychody', 'liikevaihto', 'chiffre d affaires',
                ],
                'EUR 78 Mio',
            ),
            'revenue_currency' => new FileColumn(
                'Currency of the revenue',
                ['currency', 'revenue currency', 'wahrung', 'valuta', 'waluta', 'valuutta', 'devise'],
                'EUR',
            ),
            'country' => new FileColumn(
                'Country',
                ['country', 'land', 'kraj', 'maa', 'pays', 'country code'],
                'Denmark',
            ),
            'region' => new FileColumn(
                'Region',
                ['region', 'state', 'bundesland', 'lan', 'fylke', 'provincie', 'wojewodztwo', 'maakunta'],
                '',
            ),
            'city' => new FileColumn(
                'City',
                [
                    'city', 'town', 'place', 'ort', 'stadt', 'stad', 'by', 'miasto', 'kaupunki', 'ville', 'sitz',
                    'headquarters', 'location',
                ],
                'Hobro',
            ),
            'postal_code' => new FileColumn(
                'Postal code',
                [
                    'postal code', 'postcode', 'zip', 'zip code', 'plz', 'postleitzahl', 'postnummer', 'postnr',
                    'kod pocztowy', 'postinumero', 'code postal',
                ],
                '9500',
            ),
            'latitude' => new FileColumn('Latitude', ['latitude', 'lat', 'breitengrad'], ''),
            'longitude' => new FileColumn('Longitude', ['longitude', 'lon', 'lng', 'langengrad'], ''),
            'sites' => new FileColumn(
                'Number of sites',
                [
                    'sites', 'number of sites', 'plants', 'locations', 'standorte', 'werke', 'anlaggningar',
                    'vestigingen', 'zaklady',
                ],
                '3',
            ),
            'other_sites' => new FileColumn(
                'Cities of other sites',
                ['other sites', 'site cities', 'weitere standorte'],
                'Aalborg; Malmö (Sweden)',
            ),
            'technologies' => new FileColumn(
                'Technologies',
                [
                    'technologies', 'technology', 'tech', 'systems', 'software', 'tech stack', 'technologien', 'system',
                    'systeme', 'teknik',
                ],
                'Vedliko Plan; Tryklog',
            ),
            'keywords' => new FileColumn(
                'Keywords',
                ['keywords', 'tags', 'stichworte', 'nyckelord', 'slowa kluczowe'],
                'container glass; three shifts',
            ),
            'description' => new FileColumn(
                'Description',
                [
                    'description', 'about', 'beschreibung', 'beskrivning', 'beskrivelse', 'omschrijving', 'opis',
                    'kuvaus',
                ],
                'Makes container glass on four lines.',
            ),
            'founded' => new FileColumn(
                'Founded in',
                ['founded', 'founded in', 'year founded', 'grundungsjahr', 'gegrundet', 'grundat'],
                '1961',
            ),
            'parent' => new FileColumn(
                'Domain of the parent company',
                ['parent', 'parent domain', 'group', 'mutter', 'konzern', 'moderbolag'],
                '',
            ),
            'status' => new FileColumn('Competitor or agency', ['status', 'type', 'role', 'typ'], ''),
            'source' => new FileColumn(
                'Source',
                ['source', 'quelle', 'kalla', 'kilde', 'zrodlo', 'bron'],
                'trade register',
            ),
            'extras' => new FileColumn('Keep as a fact of our own', [], ''),
        ];
    }

    public function read(array $cells): array
    {
        $row = new Cells($cells);
        $domain = $row->domain('domain')
            ?? throw new RejectedRow('The domain is missing; an account is joined by its domain, never by name alone.');
        $record = array_filter([
            'name' => $row->text('name'),
            'description' => $row->text('description', 5000),
            'keywords' => isset($cells['keywords']) ? mb_substr(implode('; ', $row->list('keywords')), 0, 1000) : null,
            'growth' => $row->figure('growth', 'The growth')?->value,
            'source' => $row->text('source', 80),
        ], fn ($value): bool => $value !== null);
        // Per cent are often written without their sign; no company multiplies its heads by more than three in a year
        // here.
        if (isset($record['growth']) && abs($record['growth']) > 3) {
            $record['growth'] /= 100;
        }
        $founded = $row->figure('founded', 'The year of foundation')?->value;
        if ($founded !== null) {
            $record['founded'] = $founded >= 1000 && $founded <= 2100
                ? (int) $founded
                : throw new RejectedRow("“{$cells['founded']}” is not a year.");
        }
        $heads = $row->count('headcount', 'The headcount');
        if ($heads !== null) {
            $record += ['headcount' => (int) round($heads->value), 'headcount_given' => $heads->given];
        }
        $sites = $row->count('sites', 'The number of sites');
        if ($sites !== null) {
            $record['sites'] = (int) min(65535, round($sites->value));
        }
        $record += $this->revenue($row) + $this->place($row);
        $status = $row->choice('status', 'The status', self::STATUSES);
        if ($status !== null && $status !== 'none') {
            $record['status'] = $status;
        }
        foreach (
            [
                'industry' => 'industries',
                'technologies' => 'technologies',
                'other_sites' => 'other_sites',
            ] as $field => $as
        ) {
            if (isset($cells[$field])) {
                $record[$as] = $field === 'industry' && $this->isOneLabel($cells[$field])
                    ? [trim($cells[$field])]
                    : $row->list($field);
            }
        }
        $parent = $row->domain('parent');
        if ($parent !== null && $parent !== $domain) {
            $record['parent'] = $parent;
        }
        foreach ($cells as $field => $text) {
            if (str_starts_with($field, 'extras:')) {
                $record['extras'][substr($field, 7)] = mb_substr($text, 0, 500);
            }
        }

        return ['domain' => $domain] + $record;
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['domain'];
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $domains = array_column($records, 'domain');
        $there = $this->there($domains);
        $new = $changed = [];
        foreach ($records as $line => $record) {
            $facts = $this->facts($record);
            $existing = $there[$record['domain']] ?? null;
            if ($existing === null) {
                if (! isset($record['name'])) {
                    $tally->rejected[$line] = 'The name is missing, and no account has this domain yet.';

                    continue;
                }
                $new[] = ['domain' => $record['domain']] + $facts;

                continue;
            }
            if (isset($changed[$existing['id']])) {
                // Two rows of one batch mean this account, one of them by the domain of an account that was merged into
                // it.
                $existing = $this->there([$record['domain']])[$record['domain']];
            }
            if ($existing['domain'] !== $record['domain']) {
                // What was merged in keeps telling of the account, but no longer what it is called.
                unset($facts['name']);
            }
            $before = [];
            foreach ($facts as $field => $value) {
                if ($field === 'source' || $field === 'confidence') {
                    continue;
                }
                if ($field === 'extras') {
                    $value = $facts['extras'] = $value + ($existing['extras'] ?? []);
                    ksort($value);
                    $facts['extras'] = $value;
                }
                if (
                    $field === 'place'
                    && in_array($value['city'] ?? null, [null, $existing['place']['city'] ?? null], true)
                ) {
                    $value = $facts['place'] = self::comparable($value + ($existing['place'] ?? []));
                }
                if (($existing[$field] ?? null) !== $value) {
                    $before[$field] = $existing[$field] ?? null;
                }
            }
            if ($before === []) {
                $tally->unchanged++;

                continue;
            }
            $after = array_intersect_key($facts, $before);
            $this->change($existing['id'], $after);
            $changed[$existing['id']] = true;
            $ledger->changed('account', $existing['id'], $before, $after);
            $tally->updated++;
        }
        $ids = $this->create($new);
        $ledger->created('account', $ids);
        $tally->created = count($ids);
        $this->joinParents($records, $ledger);

        return $tally;
    }

    /**
     * Writes fields of an account, composite ones too; also how an undo puts things back.
     *
     * @param  array<string, mixed>  $fields
     */
    public function change(int $id, array $fields): void
    {
        $scalars = array_intersect_key($fields, array_flip([...self::SCALARS, 'parent_id']));
        if (isset($scalars['name'])) {
            $scalars['name_key'] = CompanyName::of($scalars['name'])->key();
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

    private const PLACE = [
        'account_id', 'headquarters', 'city', 'region', 'postal_code', 'country', 'latitude', 'longitude',
    ];

    /** @return array<string, mixed> */
    private function revenue(Cells $row): array
    {
        $revenue = $row->figure('revenue', 'The revenue');
        if ($revenue === null) {
            return [];
        }
        $currency = strtoupper($row->text('revenue_currency', 3) ?? $revenue->currency ?? 'EUR');

        return [
            'revenue' => Cells::inEur($revenue->value, $currency),
            'revenue_amount' => $revenue->value,
            'revenue_currency' => $currency,
            'revenue_given' => $revenue->given,
        ];
    }

    /** @return array<string, mixed> */
    private function place(Cells $row): array
    {
        $place = array_filter([
            'city' => $row->text('city', 100),
            'region' => $row->text('region', 80),
            'postal_code' => $row->text('postal_code', 12),
            'country' => $row->country('country'),
            'latitude' => $row->figure('latitude', 'The latitude')?->value,
            'longitude' => $row->figure('longitude', 'The longitude')?->value,
        ], fn ($value): bool => $value !== null);

        return $place === [] ? [] : ['place' => $place];
    }

    /** A label such as "Glass, ceramics and other mineral products" has commas of its own. */
    private function isOneLabel(string $text): bool
    {
        return preg_match('/[;|]/', $text) !== 1;
    }

    /**
     * The record as it is compared and stored.
     *
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>
     */
    private function facts(array $record): array
    {
        $facts = array_intersect_key($record, array_flip(self::SCALARS));
        if (isset($record['industries'])) {
            $facts['industries'] = array_values(array_filter(
                array_map($this->labels->read(...), $record['industries']),
                fn (array $read): bool => $read !== [null, null],
            ));
        }
        if (isset($record['technologies'])) {
            $facts['technologies'] = array_values(array_unique(
                array_map(
                    fn (string $name): int => $this->technologies[mb_strtolower($name)] ??= $this
                        ->named('technologies', $name),
                    $record['technologies'],
                ),
            ));
            sort($facts['technologies']);
        }
        if (isset($record['place'])) {
            $facts['place'] = $this->located($record['place']);
        }
        if (isset($record['other_sites'])) {
            $home = $record['place']['country'] ?? null;
            $facts['other_places'] = array_map(
                fn (string $site): array => $this->site($site, $home),
                $record['other_sites'],
            );
        }
        if (isset($record['extras'])) {
            $facts['extras'] = $record['extras'];
            ksort($facts['extras']);
        }

        return $facts;
    }

    /**
     * “Göteborg (Sweden)”, or a city alone: at home where there is one of its name, else the only one of its name.
     *
     * @return array<string, mixed>
     */
    private function site(string $text, ?string $home): array
    {
        if (preg_match('/^(.+?)\s*\(([^()]+)\)$/u', $text, $parts) === 1 && Countries::code($parts[2]) !== null) {
            return $this->located(['city' => mb_substr($parts[1], 0, 100), 'country' => Countries::code($parts[2])]);
        }
        $city = mb_substr($text, 0, 100);
        $country = $home !== null && $this->gazetteer->find($city, $home) !== null
            ? $home
            : $this->gazetteer->find($city, null)[3] ?? null;

        return $this->located(['city' => $city] + ($country === null ? [] : ['country' => $country]));
    }

    /**
     * @param  array<string, mixed>  $place
     * @return array<string, mixed>
     */
    private function located(array $place): array
    {
        if (! isset($place['latitude'], $place['longitude'])) {
            unset($place['latitude'], $place['longitude']);
            $found = isset($place['city']) ? $this->gazetteer->find($place['city'], $place['country'] ?? null) : null;
            if ($found !== null) {
                $place['latitude'] = $found[0];
                $place['longitude'] = $found[1];
                $place['region'] ??= $found[2];
            }
        }

        return self::comparable($place);
    }

    /**
     * @param  array<string, mixed>  $place
     * @return array<string, mixed>
     */
    private static function comparable(array $place): array
    {
        $out = [];
        foreach (['city', 'region', 'postal_code', 'country', 'latitude', 'longitude'] as $field) {
            if (($place[$field] ?? null) !== null) {
                $out[$field] = is_float($place[$field]) ? round($place[$field], 6) : $place[$field];
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $domains
     * @return array<string, array<string, mixed>> by domain
     */
    private function there(array $domains): array
    {
        $accounts = [];
        $kept = DB::table('accounts')->whereIn('domain', $domains)->selectRaw('COALESCE(merged_into, id) AS id, domain')
            ->pluck('id', 'domain')->all();
        foreach (
            DB::table('accounts')->whereIn('id', array_unique($kept))->get(['id', 'domain', ...self::SCALARS]) as $row
        ) {
            $accounts[$row->id] = (array) $row;
            foreach (['growth', 'revenue', 'revenue_amount'] as $field) {
                if ($accounts[$row->id][$field] !== null) {
                    $accounts[$row->id][$field] = (float) $accounts[$row->id][$field];
                }
            }
        }
        if ($accounts === []) {
            return [];
        }
        $ids = array_keys($accounts);
        foreach (DB::table('account_industry')->whereIn('account_id', $ids)->orderBy('position')->get() as $row) {
            $accounts[$row->account_id]['industries'][] = [$row->code, $row->label_id];
        }
        foreach (
            DB::table('account_technology')->whereIn('account_id', $ids)->orderBy('technology_id')->get() as $row
        ) {
            $accounts[$row->account_id]['technologies'][] = $row->technology_id;
        }
        foreach (DB::table('places')->whereIn('account_id', $ids)->orderBy('id')->get() as $row) {
            $place = self::comparable((array) $row);
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

        return array_map(fn (int $id): array => $accounts[$id], $kept);
    }

    /**
     * @param  list<array<string, mixed>>  $accounts
     * @return list<int>
     */
    private function create(array $accounts): array
    {
        $now = now()->toDateTimeString();
        $rows = $keys = [];
        foreach ($accounts as $account) {
            $row = [];
            foreach (self::SCALARS as $field) {
                $row[] = $account[$field] ?? null;
            }
            $keys[] = $row[] = CompanyName::of((string) $account['name'])->key();
            array_push($row, $account['domain'], 1, $now, $now, $now);
            $rows[] = $row;
        }
        $ids = Bulk::insert('accounts', self::INSERTED, $rows);
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

    /** @param  array<int, array<string, mixed>>  $records */
    private function joinParents(array $records, Ledger $ledger): void
    {
        $parents = array_filter(array_column($records, 'parent', 'domain'));
        if ($parents === []) {
            return;
        }
        $ids = DB::table('accounts')->whereIn('domain', [...array_keys($parents), ...array_values($parents)])
            ->get(['id', 'domain', 'parent_id'])->keyBy('domain');
        foreach ($parents as $domain => $parent) {
            $child = $ids[$domain] ?? null;
            $parentId = $ids[$parent]->id ?? null;
            if ($child !== null && $parentId !== null && $child->parent_id !== $parentId) {
                $this->change($child->id, ['parent_id' => $parentId]);
                $ledger->changed('account', $child->id, ['parent_id' => $child->parent_id], ['parent_id' => $parentId]);
            }
        }
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
            $rows[] = [$id, $this->attributes[$name] ??= $this->named('attributes', (string) $name), $value];
        }

        return $rows;
    }

    private function named(string $table, string $name): int
    {
        $name = mb_substr($name, 0, 100);

        return (int) (
            DB::table($table)->where('name', $name)->value('id') ?? DB::table($table)->insertGetId(['name' => $name])
        );
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
