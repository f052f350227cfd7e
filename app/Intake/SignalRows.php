<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Contacts\OpeningFunctions;
use App\Intake\Accounts\AccountColumns;
use App\Models\StruckSignal;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;

/** Signals: the same by account, kind, day, title and person. */
final class SignalRows implements RowReader
{
    private const FIELDS = [
        'title', 'occurred_at', 'since', 'strength', 'strength_given', 'confidence', 'facts', 'source', 'quote', 'link',
    ];

    /** Words for a kind beyond its own name. */
    private const KINDS = [
        'funding' => ['round', 'finanzierung', 'finansiering', 'investment'],
        'hiring' => [
            'opening', 'openings', 'job', 'job posting', 'stelle', 'stellenanzeige', 'jobb', 'vacature',
            'stillingsannonse',
        ],
        'growth' => ['wachstum', 'tillväxt'],
        'decline' => ['shrinking'], 'new_leader' => ['new head', 'neue leitung', 'ny chef'],
        'promotion' => ['promoted', 'beförderung'], 'customer_alum' => ['came from a customer'],
        'leadership_change' => ['new chief', 'chefwechsel', 'führungswechsel'],
        'tech_adopted' => ['technology adopted', 'adopted', 'software eingeführt'],
        'tech_dropped' => ['technology dropped', 'dropped', 'software abgelöst'],
        'post_engagement' => ['post', 'engaged with a post'],
        'own_engagement' => ['engaged with us', 'messebesuch', 'visited our stand'],
        'topic_interest' => ['topic', 'interest'], 'news' => ['press', 'presse'],
        'expansion' => ['new site', 'new plant', 'neues werk', 'neueröffnung', 'neuer standort', 'contract'],
        'hiring_freeze' => ['layoffs', 'hiring stop', 'einstellungsstopp', 'entlassungen'],
        'rival_signed' => ['signed with a competitor'],
    ];

    private const CURRENCY = 'EUR';

    public static function columns(): array
    {
        $accounts = AccountColumns::all();

        return [
            'domain' => new FileColumn(
                'Domain of the account',
                // An address on the web is here where the news stands.
                [...array_diff($accounts['domain']->names, ['url']), 'company domain', 'account domain'],
                'tunhede.example',
                true,
            ),
            'kind' => new FileColumn(
                'Kind',
                [
                    'kind', 'signal', 'signal kind', 'type', 'art', 'typ', 'event', 'anlass', 'ereignis', 'handelse',
                    'haendelse', 'hendelse', 'gebeurtenis', 'wydarzenie', 'tapahtuma', 'evenement',
                ],
                'funding',
                true,
                choices: array_keys(self::KINDS),
            ),
            'date' => new FileColumn(
                'Day',
                ['date', 'day', 'occurred', 'occurred at', 'when', 'datum', 'dato', 'data', 'pvm', 'tag'],
                '2026-11-17',
                true, isDay: true),
            'title' => new FileColumn(
                'What happened',
                [
                    'title', 'what', 'what happened', 'headline', 'text', 'was', 'was ist passiert', 'rubrik',
                    'overskrift',
                ],
                'Round B, €12M, for a fourth line',
                true,
            ),
            'since' => new FileColumn(
                'Lasts since', ['since', 'lasts since', 'began', 'seit', 'sedan'], '', isDay: true,
            ),
            'strength' => new FileColumn('Strength 0–1, if known', ['strength', 'starke', 'styrka'], ''),
            'confidence' => new FileColumn('Confidence 0–1', ['confidence', 'sicherheit', 'sakerhet'], '.9'),
            'round' => new FileColumn('Round', ['round', 'stage', 'runde'], 'B'),
            'amount' => new FileColumn('Amount', ['amount', 'betrag', 'belopp', 'kwota'], '12 Mio'),
            'currency' => new FileColumn('Currency', ['currency', 'wahrung', 'valuta'], 'EUR'),
            'openings' => new FileColumn('Number of openings', ['openings', 'number of openings', 'stellen'], ''),
            'before' => new FileColumn('Headcount before', ['heads before', 'headcount before', 'before'], ''),
            'after' => new FileColumn('Headcount after', ['heads after', 'headcount after', 'after'], ''),
            'deed' => new FileColumn(
                'What they did', ['deed', 'engagement', 'action'], '', choices: Strength::engagements(),
            ),
            'technology' => new FileColumn(
                'Technology adopted or dropped', ['technology', 'tech', 'system', 'technologie', 'teknik'], 'Tryklog',
            ),
            'person' => new FileColumn(
                'E-mail address of the person',
                ['person', 'contact', 'contact email', 'email', 'e mail'],
                '',
            ),
            'source' => new FileColumn('Source', ['source', 'quelle', 'kalla', 'kilde', 'zrodlo', 'bron'], 'press'),
            'quote' => new FileColumn(
                'Quote',
                ['quote', 'evidence', 'zitat', 'citat'],
                '“A fourth line will start in spring.”',
            ),
            'link' => new FileColumn(
                'Link',
                ['link', 'url', 'address', 'fundstelle', 'lank'],
                'https://press.example/tunhede',
            ),
        ];
    }

    public function read(Cells $row): array
    {
        $domain = $row->domain('domain') ?? throw new RejectedRow('The domain is missing.');
        $kind = Kind::from(
            $row->neededChoice('kind', 'The kind', self::KINDS),
        );
        $amount = $row->figure('amount');
        $facts = array_filter([
            'round' => $row->text('round', 20),
            'amount' => $amount?->value,
            'currency' => $amount === null
                ? null
                : strtoupper($row->text('currency', 3) ?? $amount->currency ?? self::CURRENCY),
            'openings' => self::whole($row->count('openings')?->value),
            'before' => self::whole($row->count('before')?->value),
            'after' => self::whole($row->count('after')?->value),
            'technology' => in_array($kind, NamedTechnologies::KINDS, true) ? $row->text('technology', 100) : null,
            'deed' => $row->choice('deed', array_fill_keys(Strength::engagements(), [])),
        ], fn ($value): bool => $value !== null);
        if ($amount !== null) {
            $facts['eur'] = Cells::inEur($amount->value, $facts['currency'] ?? self::CURRENCY);
        }
        $strength = $row->part('strength');
        $link = $row->text('link', 500);
        if ($link !== null && preg_match('~^https?://~i', $link) !== 1) {
            $link = $row->leave('link');
        }

        return [
            'domain' => $domain, 'kind' => $kind->value, 'title' => $row->needed('title', 'What happened', 255),
            'occurred_at' => $row->neededDay('date', 'The day'), 'since' => $row->day('since'),
            'strength' => $strength,
            'strength_given' => $strength !== null,
            'confidence' => $row->part('confidence') ?? 1.0,
            'facts' => $facts === [] ? null : $facts, 'person' => $row->email('person'),
            'source' => $row->text('source', 80), 'quote' => $row->text('quote', 5000), 'link' => $link,
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return sha1(implode(
            '|',
            [
                $record['domain'], $record['kind'], substr($record['occurred_at'], 0, 10),
                mb_strtolower($record['title']), $record['person'],
            ],
        ));
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $accounts = AccountIds::of($records);
        $heads = DB::table('accounts')->whereIn('id', [...$accounts, ...array_column($records, 'account')])
            ->pluck('headcount', 'id')->all();
        $people = DB::table('channels')->where('type', 'email')
            ->whereIn('value', array_filter(array_column($records, 'person')))->pluck('contact_id', 'value')->all();
        $prints = array_map(fn (array $one): string => $one['fingerprint'] ?? $this->key($one), $records);
        $there = DB::table('signals')->whereIn('fingerprint', $prints)->get(['id', 'fingerprint', ...self::FIELDS])
            ->keyBy('fingerprint');
        $struck = StruckSignal::query()->whereIn('fingerprint', $prints)->pluck('fingerprint')->flip();
        $now = now()->toDateTimeString();
        $concerns = new OpeningFunctions;
        $new = [];
        $named = [];
        $touched = [];
        $known = new KnownRow('signals', 'signal', self::FIELDS, $tally, $ledger, $now);
        foreach ($records as $line => $record) {
            $account = $record['account'] ?? $accounts[$record['domain']] ?? null;
            if ($account === null) {
                $tally->rejected[$line] = AccountIds::unknown($record['domain']);

                continue;
            }
            if (isset($struck[$prints[$line]])) {
                // Somebody struck it out, and it stays out.
                $tally->unchanged++;

                continue;
            }
            if (isset($record['facts']['technology'])) {
                $named[$account][] = $record['facts']['technology'];
            }
            $record['strength'] ??= self::strength(
                Kind::from($record['kind']),
                $record['facts'] ?? [],
                $heads[$account],
            );
            if ($record['strength'] === null) {
                $tally->rejected[$line] = 'The change of headcount is too small to be a signal (under 3 %, or an '
                    .'account under 10 heads).';

                continue;
            }
            $record['facts'] = $record['facts'] === null
                ? null
                : json_encode($record['facts'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
            $existing = $there[$prints[$line]] ?? null;
            if ($existing === null) {
                $new[] = [
                    $account, $record['contact'] ?? $people[$record['person'] ?? ''] ?? null, $record['kind'],
                    ...array_map(fn (string $field) => $record[$field], self::FIELDS), $now, $prints[$line],
                    $concerns->of($record['kind'], $record['title'], $record['quote']), $now, $now,
                ];
                $touched[] = $account;

                continue;
            }
            if ($known->take($line, $record, $existing)) {
                $touched[] = $account;
            }
        }
        $ids = Bulk::insert(
            'signals',
            [
                'account_id', 'contact_id', 'kind', ...self::FIELDS, 'seen_at', 'fingerprint', 'concerns', 'created_at',
                'updated_at',
            ],
            $new,
        );
        $ledger->created('signal', $ids);
        $tally->created = count($ids);
        (new NamedTechnologies)->follow($named, $ledger);
        // A signal that was brought stands for one that follows from positions.
        (new CareerSignals)->refresh(array_filter(array_column($new, 1)));
        AccountIds::markStale($touched);

        return $tally;
    }

    /**
     * Strength from the raw facts (rule 2).
     *
     * @param  array<string, mixed>  $facts
     * @return float|null null where it is no signal
     */
    public static function strength(Kind $kind, array $facts, ?int $headcount): ?float
    {
        return match ($kind) {
            Kind::Funding => Strength::ofFunding($facts['round'] ?? null, $facts['eur'] ?? null, $headcount),
            Kind::Hiring => Strength::ofHiring(array_fill(0, max(1, min(1000, $facts['openings'] ?? 1)), true)),
            Kind::Growth,
            Kind::Decline => isset($facts['before'], $facts['after'])
                ? Strength::ofChange($facts['before'], $facts['after'])
                : 1.0,
            Kind::PostEngagement => Strength::ofEngagement($facts['deed'] ?? 'reacted'),
            Kind::OwnEngagement => Strength::ofEngagement($facts['deed'] ?? 'page'),
            Kind::News => Strength::ofNews(true),
            default => 1.0,
        };
    }

    /** Rounds weigh by head, so a new headcount changes the strength of those that were not given one. */
    public static function restrengthen(int $account, ?int $headcount): void
    {
        foreach (
            DB::table('signals')->where('account_id', $account)->where('kind', Kind::Funding->value)
                ->where('strength_given', false)->get(['id', 'facts']) as $row
        ) {
            DB::table('signals')->where('id', $row->id)->update(
                ['strength' => self::strength(Kind::Funding, json_decode($row->facts ?? '[]', true), $headcount)],
            );
        }
    }

    private static function whole(?float $value): ?int
    {
        return $value === null ? null : (int) round($value);
    }
}
