<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Contacts\Doubles;
use App\Contacts\Fingerprints;
use App\Contacts\Titles;
use App\Intake\Accounts\AccountColumns;
use App\Intake\Reading\Day;
use App\Network\Acquaintance;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;
use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Company\Domain;
use Luftig\Core\Text\Fold;
use stdClass;

/** Contacts: the same by personal address or profile, else by name within one account. */
final class ContactRows implements RowReader
{
    private const FIELDS = [
        'first_name', 'last_name', 'title', 'about', 'interests', 'city', 'country', 'profile', 'source',
    ];

    /** Kinds of what people share besides positions; each has a column. */
    private const AFFILIATIONS = ['language', 'school', 'association'];

    private const STATES = [
        'valid' => ['checked', 'ok', 'verified', 'gültig', 'gultig', 'giltig'],
        'catch_all' => ['catchall', 'accept all'],
        'unknown' => ['', 'not checked', 'unchecked', 'unbekannt', 'okänd'],
        'guess' => ['guessed', 'pattern', 'geraten'], 'invalid' => ['dead', 'bounced', 'ungültig', 'ogiltig'],
        'disposable' => [], 'off' => ['switched off'], 'shared' => ['role', 'shared mailbox', 'generic'],
    ];

    /** @var array<int, stdClass> account → its country and headcount */
    private array $about = [];

    private const SHARED = '/^(info|kontakt|contact|office|sales|mail|post|service|hello|biuro|firma|support|'
        .'reception|empfang|vaxel|kundservice)@/';

    public function __construct(
        private readonly Titles $titles = new Titles,
        private readonly Fingerprints $erased = new Fingerprints,
    ) {
    }

    public static function columns(): array
    {
        $accounts = AccountColumns::all();

        return [
            'domain' => new FileColumn(
                'Domain of the account',
                [...$accounts['domain']->names, 'company domain', 'account domain', 'firmendomain'],
                'tunhede.example',
                true,
            ),
            'first_name' => new FileColumn(
                'First name',
                [
                    'first name', 'firstname', 'given name', 'vorname', 'fornamn', 'fornavn', 'voornaam', 'imie',
                    'etunimi', 'prenom',
                ],
                'Pernille',
            ),
            'last_name' => new FileColumn(
                'Last name',
                [
                    'last name', 'lastname', 'surname', 'family name', 'nachname', 'efternamn', 'efternavn',
                    'etternavn', 'achternaam', 'nazwisko', 'sukunimi', 'nom',
                ],
                'Askov-Rye',
            ),
            'name' => new FileColumn(
                'Whole name',
                ['name', 'full name', 'contact', 'person', 'namn', 'navn', 'naam', 'kontaktperson', 'ansprechpartner'],
                '',
            ),
            'title' => new FileColumn(
                'Title',
                [
                    'title', 'job title', 'position', 'role', 'funktion', 'titel', 'tittel', 'stanowisko', 'stilling',
                    'functie', 'befattning', 'titteli', 'poste',
                ],
                'Head of Maintenance',
            ),
            'since' => new FileColumn(
                'In the position since',
                [
                    'in the position since', 'in position since', 'in the post since', 'in post since', 'since',
                    'start', 'started', 'seit', 'sedan', 'siden', 'sinds', 'od',
                ],
                '11/2026',
            ),
            'email' => new FileColumn(
                'E-mail address',
                [
                    'email', 'e mail', 'mail', 'email address', 'e mail address', 'e post', 'epost', 'e mail adresse',
                    'sahkoposti', 'courriel',
                ],
                'p.askov-rye@tunhede.example',
            ),
            'email_state' => new FileColumn(
                'State of the address',
                ['email state', 'email status', 'state', 'address state', 'e mail status'],
                'valid',
            ),
            'phone' => new FileColumn(
                'Direct phone',
                [
                    'phone', 'direct phone', 'telephone', 'mobile', 'telefon', 'mobil', 'telefoon', 'direktwahl',
                    'puhelin', 'puh', 'komorka',
                ],
                '',
            ),
            'switchboard' => new FileColumn(
                'Switchboard',
                ['switchboard', 'main phone', 'company phone', 'zentrale', 'vaxel', 'centrala'],
                '',
            ),
            'profile' => new FileColumn(
                'Profile address',
                ['profile', 'profile url', 'profile address', 'social', 'profil', 'social profile'],
                '',
            ),
            'active' => new FileColumn(
                'Active on social on',
                ['active', 'last active', 'social active', 'zuletzt aktiv', 'senast aktiv'],
                '',
            ),
            'asked' => new FileColumn(
                'Asked to be contacted by',
                ['asked', 'asked to be contacted', 'prefers', 'wunsch'],
                '',
            ),
            'city' => new FileColumn('City', $accounts['city']->names, 'Hobro'),
            'country' => new FileColumn('Country', $accounts['country']->names, 'Denmark'),
            'about' => new FileColumn('About', ['about', 'bio', 'summary', 'uber', 'om'], ''),
            'interests' => new FileColumn('Interests', ['interests', 'topics', 'interessen', 'intressen'], ''),
            'language' => new FileColumn(
                'Languages',
                ['languages', 'language', 'sprachen', 'sprak', 'sprog'],
                'Danish; German',
            ),
            'school' => new FileColumn(
                'Schools',
                ['schools', 'school', 'university', 'education', 'hochschule', 'skola', 'uddannelse'],
                '',
            ),
            'association' => new FileColumn(
                'Associations',
                ['associations', 'association', 'memberships', 'verband', 'vereine', 'forening', 'forbund'],
                '',
            ),
            'source' => new FileColumn(
                'Source',
                ['source', 'quelle', 'kalla', 'kilde', 'zrodlo', 'bron'],
                'trade register',
            ),
            'before' => new FileColumn(
                'Earlier positions',
                [
                    'earlier positions', 'earlier posts', 'before', 'past positions', 'past posts', 'previous',
                    'frueher', 'tidigare',
                ],
                'Shift Lead, Fjernlund Papir, 2019–2026',
            ),
        ];
    }

    public function read(array $cells): array
    {
        $row = new Cells($cells);
        [$first, $last] = self::name($row);
        $email = $row->email('email');
        $domain = $row->domain('domain') ?? ($email === null ? null : self::ofAddress($email))
            ?? throw new RejectedRow('The domain of the account is missing, and the address does not tell it.');
        $record = array_filter([
            'title' => $row->text('title'),
            'about' => $row->text('about', 5000),
            'interests' => $row->text('interests', 500),
            'city' => $row->text('city', 100),
            'country' => $row->country('country'),
            'profile' => $row->page('profile', 'The profile'),
            'source' => $row->text('source', 80),
        ], fn ($value): bool => $value !== null);
        $since = $row->day('since', 'The day since when');

        return [
            'domain' => $domain, 'first_name' => $first, 'last_name' => $last, ...$record,
            'since' => $since === null ? null : substr($since, 0, 10),
            'channels' => self::channels($row, $email, $record['country'] ?? null),
            'affiliations' => array_merge(...array_map(
                fn (string $kind): array => array_map(
                    fn (string $name): array => [$kind, mb_substr($name, 0, 120)],
                    $row->list($kind),
                ),
                self::AFFILIATIONS,
            )),
            'before' => array_map(
                self::position(...),
                preg_split('/\s*[;|]\s*/', $cells['before'] ?? '', flags: PREG_SPLIT_NO_EMPTY) ?: [],
            ),
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['domain'].'|'.self::folded($record['first_name'], $record['last_name']);
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $accounts = AccountIds::of([...$records, ...array_merge([], ...array_column($records, 'before'))]);
        $this->about = DB::table('accounts')
            ->leftJoin('places', fn ($join) => $join->on('account_id', '=', 'accounts.id')->where('headquarters', true))
            ->whereIn('accounts.id', $accounts)->get(['accounts.id', 'headcount', 'country'])->keyBy('id')->all();
        [$byProfile, $byAddress, $byName, $people] = $this->there($records, $accounts);
        $new = $doubtful = $moved = [];
        $touched = [];
        foreach ($records as $line => $record) {
            $account = $accounts[$record['domain']] ?? null;
            if ($account === null) {
                $tally->rejected[$line] = AccountIds::unknown($record['domain']);

                continue;
            }
            $address = self::personalAddress($record);
            if (
                $this->erased->isErased(
                    $record['domain'],
                    $record['first_name'],
                    $record['last_name'],
                    [$address, $record['profile'] ?? null],
                )
            ) {
                $tally->rejected[$line] = 'This person asked to be erased, and is not brought in again.';

                continue;
            }
            $record['before'] = array_map(
                fn (array $position): array => ['account_id' => $accounts[$position['domain'] ?? ''] ?? null]
                    + $position,
                $record['before'],
            );
            $id = $byProfile[$record['profile'] ?? ''] ?? $byAddress[$address ?? ''] ?? null;
            $namesake = $id === null
                ? $byName[$account.'|'.self::folded($record['first_name'], $record['last_name'])] ?? null
                : null;
            if ($namesake !== null && ! self::isToldApart($record, $people[$namesake])) {
                $id = $namesake;
            }
            if ($id === null) {
                if ($namesake !== null) {
                    $doubtful[count($new)] = $namesake;
                }
                $new[] = [$account, $record];
                $touched[] = $account;

                continue;
            }
            if ($this->update($people[$id], $account, $record, $ledger)) {
                array_push($touched, $account, $people[$id]['account_id']);
                $moved[] = $id;
                $tally->updated++;
            } else {
                $tally->unchanged++;
            }
        }
        $ids = $this->create($new, $ledger);
        foreach ($doubtful as $i => $namesake) {
            Doubles::doubt(
                'contact',
                $namesake,
                $ids[$i],
                1.0,
                ['Both have the same name and are at the same account.', 'Their addresses differ.'],
            );
        }
        foreach ($new as $i => [, $record]) {
            if ($record['before'] !== []) {
                $moved[] = $ids[$i];
            }
        }
        (new CareerSignals)->refresh($moved);
        if ($ids !== []) {
            Acquaintance::tie();
        }
        $tally->created = count($ids);
        AccountIds::markStale($touched);

        return $tally;
    }

    /**
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<string, int>  $accounts
     * @return array{array<string, int>, array<string, int>, array<string, int>, array<int, array<string, mixed>>}
     */
    private function there(array $records, array $accounts): array
    {
        $profiles = array_filter(array_column($records, 'profile'));
        $addresses = array_filter(array_map(self::personalAddress(...), $records));
        $byAddress = DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->where('type', 'email')
            ->where('state', '<>', 'shared')->whereIn('value', $addresses)
            ->selectRaw('COALESCE(merged_into, contacts.id) AS id, value')->pluck('id', 'value')->all();
        $people = [];
        $byProfile = $byName = [];
        $rows = DB::table('contacts')->whereIn('account_id', $accounts)->orWhereIn('profile', $profiles)
            ->orWhereIn('id', $byAddress)
            ->get(['id', 'account_id', 'merged_into', 'by_hand', 'reading', ...self::FIELDS]);
        foreach ($rows as $row) {
            $people[$row->id] = (array) $row + ['channels' => [], 'positions' => [], 'affiliations' => []];
            if ($row->merged_into !== null) {
                continue;
            }
            $byName[$row->account_id.'|'.self::folded($row->first_name, $row->last_name)] = $row->id;
            if ($row->profile !== null) {
                $byProfile[$row->profile] = $row->id;
            }
        }
        foreach (DB::table('channels')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['channels'][$row->type.'|'.$row->value] = $row;
        }
        foreach (DB::table('affiliations')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['affiliations'][$row->kind.'|'.mb_strtolower($row->name)] = true;
        }
        foreach (DB::table('positions')->whereIn('contact_id', array_keys($people))->get() as $row) {
            $people[$row->contact_id]['positions'][] = $row;
        }

        return [$byProfile, $byAddress, $byName, $people];
    }

    /**
     * @param  array<string, mixed>  $person  as it is there
     * @param  array<string, mixed>  $record
     */
    private function update(array $person, int $account, array $record, Ledger $ledger): bool
    {
        $changed = false;
        // What a person set by hand stays.
        $byHand = json_decode($person['by_hand'] ?? '[]', true);
        $after = array_filter(
            ['account_id' => $account] + array_intersect_key($record, array_flip(self::FIELDS)),
            fn ($value, $field): bool => $field !== 'source'
                && $person[$field] !== $value
                && ! in_array($field, $byHand, true),
            ARRAY_FILTER_USE_BOTH,
        );
        if (isset($after['title']) || isset($after['account_id'])) {
            $reading = $this->reading($after['title'] ?? $person['title'], $account);
            if ($reading !== $person['reading']) {
                $after['reading'] = $reading;
            }
        }
        if ($after !== []) {
            DB::table('contacts')->where('id', $person['id'])->update($after + ['updated_at' => now()]);
            $ledger->changed('contact', $person['id'], array_intersect_key($person, $after), $after);
            $changed = true;
        }
        foreach ($record['channels'] as $channel) {
            $there = $person['channels'][$channel['type'].'|'.$channel['value']] ?? null;
            if ($there === null) {
                $ledger->created('channel', [
                    DB::table('channels')->insertGetId(['contact_id' => $person['id']] + $channel),
                ]);
                $changed = true;
            } elseif (
                array_key_exists('state', $channel) && $there->state !== $channel['state']
                || $there->active_at !== ($channel['active_at'] ?? $there->active_at)
            ) {
                $fields = array_intersect_key($channel, array_flip(['state', 'active_at']));
                DB::table('channels')->where('id', $there->id)->update($fields);
                $ledger->changed('channel', $there->id, array_intersect_key((array) $there, $fields), $fields);
                $changed = true;
            }
        }
        foreach ($record['affiliations'] as [$kind, $name]) {
            if (! isset($person['affiliations'][$kind.'|'.mb_strtolower($name)])) {
                $ledger->created('affiliation', [
                    DB::table('affiliations')
                        ->insertGetId(['contact_id' => $person['id'], 'kind' => $kind, 'name' => $name]),
                ]);
                $changed = true;
            }
        }
        foreach (
            $this->positions(
                $account,
                in_array('title', $byHand, true) ? array_diff_key($record, ['title' => 0]) : $record,
            ) as $position
        ) {
            $known = array_filter(
                $person['positions'],
                fn (stdClass $there): bool => $there->title === $position['title'] && (
                    $there->account_id === $position['account_id'] && $position['account_id'] !== null
                    || $there->company === $position['company']
                ) && ($position['since'] === null || $there->since === $position['since']),
            );
            if ($known === []) {
                if ($position['until'] === null) {
                    foreach ($person['positions'] as $there) {
                        if ($there->until === null) {
                            DB::table('positions')->where('id', $there->id)
                                ->update(['until' => $position['since'] ?? now()->toDateString()]);
                            $ledger->changed(
                                'position',
                                $there->id,
                                ['until' => null],
                                ['until' => $position['since'] ?? now()->toDateString()],
                            );
                        }
                    }
                }
                $ledger->created('position', [
                    DB::table('positions')->insertGetId(['contact_id' => $person['id']] + $position),
                ]);
                $changed = true;
            }
        }

        return $changed;
    }

    /**
     * @param  list<array{int, array<string, mixed>}>  $new  account and record
     * @return list<int>
     */
    private function create(array $new, Ledger $ledger): array
    {
        $now = now()->toDateTimeString();
        $rows = array_map(
            fn (array $entry): array => [
                $entry[0], $this->reading($entry[1]['title'] ?? null, $entry[0]),
                ...array_map(fn (string $field) => $entry[1][$field] ?? null, self::FIELDS), $now, $now, $now,
            ],
            $new,
        );
        $ids = Bulk::insert(
            'contacts',
            ['account_id', 'reading', ...self::FIELDS, 'seen_at', 'created_at', 'updated_at'],
            $rows,
        );
        $channels = $positions = $affiliations = [];
        foreach ($new as $i => [$account, $record]) {
            foreach ($record['affiliations'] as [$kind, $name]) {
                $affiliations[$i.$kind.mb_strtolower($name)] = [$ids[$i], $kind, $name];
            }
            foreach ($record['channels'] as $channel) {
                $channels[] = [
                    $ids[$i], $channel['type'], $channel['value'], $channel['state'] ?? 'unknown',
                    $channel['active_at'] ?? null,
                ];
            }
            foreach ($this->positions($account, $record) as $position) {
                $positions[] = [$ids[$i], ...array_values($position)];
            }
        }
        Bulk::insert('channels', ['contact_id', 'type', 'value', 'state', 'active_at'], $channels);
        Bulk::insert(
            'positions',
            ['contact_id', 'account_id', 'company', 'company_key', 'title', 'reading', 'since', 'until'],
            $positions,
        );
        Bulk::insert('affiliations', ['contact_id', 'kind', 'name'], array_values($affiliations));
        $ledger->created('contact', $ids);

        return $ids;
    }

    /**
     * @param  array<string, mixed>  $record
     * @return list<array<string, mixed>>
     */
    private function positions(int $account, array $record): array
    {
        $positions = isset($record['title'])
            ? [[
                'account_id' => $account, 'company' => null, 'company_key' => null, 'title' => $record['title'],
                'reading' => $this->reading($record['title'], $account), 'since' => $record['since'], 'until' => null,
            ]]
            : [];
        foreach ($record['before'] as $position) {
            $positions[] = [
                'account_id' => $position['account_id'] ?? null,
                'company' => $position['company'],
                'company_key' => $position['company'] === null ? null : CompanyName::of($position['company'])->key(),
                'title' => $position['title'],
                'reading' => $this->reading($position['title'], $position['account_id'] ?? $account),
                'since' => $position['since'], 'until' => $position['until'],
            ];
        }

        return $positions;
    }

    /** What a title says at an account. */
    private function reading(?string $title, int $account): int
    {
        return $this->titles
            ->read($title, $this->about[$account]->country ?? null, $this->about[$account]->headcount ?? null);
    }

    /**
     * Two people of one name at one account, by their addresses.
     *
     * @param  array<string, mixed>  $record
     * @param  array<string, mixed>  $person  as it is there
     */
    private static function isToldApart(array $record, array $person): bool
    {
        $own = array_map(fn (stdClass $channel): string => $channel->value, array_filter(
            $person['channels'],
            fn (stdClass $channel): bool => $channel->type === 'email' && $channel->state !== 'shared',
        ));
        $address = self::personalAddress($record);

        return $address !== null && $own !== [] && ! in_array($address, $own, true)
            || isset($record['profile'], $person['profile']) && $record['profile'] !== $person['profile'];
    }

    /** @return array{string, string} */
    public static function name(Cells $row): array
    {
        $first = $row->text('first_name', 100);
        $last = $row->text('last_name', 100);
        $whole = $row->text('name');
        if ($first === null && $last === null && $whole !== null) {
            if (str_contains($whole, ',')) {
                [$last, $first] = array_map(trim(...), explode(',', $whole, 2));
            } else {
                $parts = preg_split('/\s+/', $whole) ?: [];
                $last = (string) array_pop($parts);
                $first = implode(' ', $parts);
            }
        }
        if (($first ?? '') === '' && ($last ?? '') === '') {
            throw new RejectedRow('The name is missing.');
        }

        return [$first ?? '', $last ?? ''];
    }

    /** @return list<array<string, string|null>> */
    private static function channels(Cells $row, ?string $email, ?string $country): array
    {
        $channels = [];
        if ($email !== null) {
            $state = $row->choice('email_state', 'The state of the address', self::STATES);
            $channels[] = ['type' => 'email', 'value' => $email] + match (true) {
                $state === null && preg_match(self::SHARED, $email) === 1 => ['state' => 'shared'],
                $state === null && Domain::from($email)?->disposable === true => ['state' => 'disposable'],
                $state === null => [],
                default => ['state' => $state],
            };
        }
        foreach (['phone' => 'direct_phone', 'switchboard' => 'switchboard'] as $field => $type) {
            $number = $row->text($field, 60);
            if ($number !== null) {
                $channels[] = ['type' => $type, 'value' => self::phone($number, $country)];
            }
        }
        $profile = $row->text('profile');
        $active = $row->day('active', 'The day of activity');
        if ($profile !== null || $active !== null) {
            $channels[] = ['type' => 'social', 'value' => $profile ?? 'social']
                + ($active === null ? [] : ['active_at' => $active]);
        }
        $asked = $row->text('asked');
        if ($asked !== null) {
            $channels[] = ['type' => 'asked', 'value' => $asked];
        }

        return $channels;
    }

    /** International form where the number can be read, else as it was written. */
    private static function phone(string $number, ?string $country): string
    {
        if (preg_match('/\d.*\d.*\d/', $number) !== 1) {
            throw new RejectedRow("“{$number}” is not a phone number.");
        }
        try {
            $util = PhoneNumberUtil::getInstance();

            return $util->format($util->parse($number, $country), PhoneNumberFormat::INTERNATIONAL);
        } catch (NumberParseException) {
            return $number;
        }
    }

    /** 2019 or 3/2019, as its first day. */
    private static function month(string $text): string
    {
        return substr((string) Day::read($text), 0, 10);
    }

    /**
     * "Shift Lead, Fjernlund Papir, 2019–2026"
     *
     * @return array{domain: string|null, company: string|null, title: string, since: string|null, until: string|null}
     */
    private static function position(string $text): array
    {
        $parts = array_map(trim(...), explode(',', $text));
        $years = count($parts) > 1
            && preg_match('~^((?:\d{1,2}/)?\d{4})(?:\s*[–-]\s*((?:\d{1,2}/)?\d{4}))?$~u', (string) end($parts), $y)
                === 1
            ? array_map(self::month(...), array_slice($y, 1))
            : [];
        if ($years !== []) {
            array_pop($parts);
        }
        $title = (string) array_shift($parts);
        $company = $parts === [] ? null : mb_substr(implode(', ', $parts), 0, 190);
        $domain = $company !== null && ! str_contains($company, ' ') ? Domain::from($company)?->name : null;

        return [
            'domain' => $domain,
            'company' => $company,
            'title' => mb_substr($title, 0, 190),
            'since' => $years[0] ?? null,
            'until' => $years[1] ?? (isset($years[0]) ? substr($years[0], 0, 4).'-12-31' : '2000-01-01'),
        ];
    }

    /** @param  array<string, mixed>  $record */
    private static function personalAddress(array $record): ?string
    {
        foreach ($record['channels'] as $channel) {
            if ($channel['type'] === 'email' && ($channel['state'] ?? '') !== 'shared') {
                return $channel['value'];
            }
        }

        return null;
    }

    public static function ofAddress(string $email): ?string
    {
        $domain = Domain::from($email);

        return $domain === null || $domain->freeMail ? null : $domain->name;
    }

    private static function folded(string $first, string $last): string
    {
        return implode(' ', Fold::words($first.' '.$last));
    }
}
