<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Contacts\CareerSignals;
use App\Contacts\Fingerprints;
use App\Contacts\Titles;
use App\Feeds\Brought;
use App\Feeds\CandidateCompanies;
use App\Feeds\Understanding;
use App\Intake\Cells;
use App\Intake\ContactRows;
use App\Intake\Contacts\ChannelReading;
use App\Intake\Contacts\KnownContacts;
use App\Intake\Ledger;
use App\Intake\Reading\Sense;
use App\Intake\WaitingRow;
use App\Models\Feed;
use App\Models\ItemState;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;

/**
 * Positions as sources tell of them: of a contact, by profile, address, or name and account, or of somebody new at an
 * account of the base. The signals of people follow from them. Whoever left for a company that is in no list makes that
 * company a candidate.
 */
final class People implements Understanding
{
    /** How sure it is who is meant, by name and employer alone (rule 25). */
    private const BY_NAME = .9;

    private readonly Fingerprints $erased;

    public function __construct()
    {
        $this->erased = new Fingerprints;
    }

    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_merge([], ...array_map(
            fn (Brought $one): array => $one->facts['positions'] ?? [],
            $items,
        )));
        $known = KnownContacts::meant(array_map(
            fn (Brought $one): array => ['channels' => self::channels($one->facts)] + $one->facts,
            $items,
        ));
        $records = $left = $candidates = [];
        foreach ($items as $i => $item) {
            if ($this->erased->hasErased([$item->facts['profile'] ?? null, $item->facts['email'] ?? null])) {
                $item->forget();
            } elseif ($item->isGone) {
                $item->becomes(ItemState::Taken, 'No longer told of; what it told stays.', $item->accountBefore);
            } else {
                $present = self::present($item, $accounts);
                $contact = is_object($known[$i]) ? $known[$i] : null;
                match (true) {
                    $present !== null => $records[$i] = self::record($feed, $item, $present),
                    $contact !== null => $left[$i] = $contact,
                    default => $item->becomes(ItemState::Dropped, 'Neither they nor where they are is in the base.'),
                };
                if ($present === null && self::wasAt($item, $accounts)) {
                    $candidates[] = $item;
                }
            }
        }
        $before = $this->signals();
        $this->store($feed, $items, $records, $accounts);
        foreach ($left as $i => $contact) {
            $this->leave($items[$i], $contact->id, $contact->account_id);
        }
        CandidateCompanies::see($candidates);

        return max(0, $this->signals() - $before);
    }

    /**
     * @param  array<int, Brought>  $items
     * @param  array<int, array<string, mixed>>  $records
     * @param  array<string, int>  $accounts
     */
    private function store(Feed $feed, array $items, array $records, array $accounts): void
    {
        if ($records === []) {
            return;
        }
        $newest = (int) DB::table('contacts')->max('id');
        $tally = (new ContactRows)->store($records, new Ledger(0));
        // Those who are new are as sure as the source is.
        DB::table('contacts')->where('id', '>', $newest)->update(['confidence' => $feed->confidence]);
        $there = new KnownContacts($records, $accounts);
        $of = [];
        foreach ($records as $i => $record) {
            $why = $tally->rejected[$i] ?? $tally->waiting[$i] ?? null;
            if ($why !== null) {
                isset($tally->rejected[$i]) && $this->isErased($record)
                    ? $items[$i]->forget() : $items[$i]->becomes(ItemState::Dropped, $why);

                continue;
            }
            [$contact, $because] = self::who($there, $record, $accounts);
            $items[$i]->becomes(ItemState::Taken, $because, $accounts[$record['domain']]);
            $contact === null ?: $of[$contact] = [$items[$i]->id, $because];
        }
        $this->source($feed, $of);
    }

    /**
     * What follows from positions rests on the item that told of them.
     *
     * @param  array<int, array{int, string}>  $of  contact → item and why
     */
    private function source(Feed $feed, array $of): void
    {
        $rows = [];
        foreach (
            DB::table('signals')->where('derived', true)->whereIn('contact_id', array_keys($of))
                ->get(['id', 'contact_id', 'confidence']) as $signal
        ) {
            [$item, $because] = $of[$signal->contact_id];
            $rows[] = [
                'signal_id' => $signal->id, 'feed_item_id' => $item, 'because' => $because,
                'confidence' => min($feed->confidence, $because === self::says(true) ? 1 : self::BY_NAME),
            ];
        }
        DB::table('signal_sources')->insertOrIgnore($rows);
    }

    /** They hold no position any more that is known here: they are no longer who they were at the account. */
    private function leave(Brought $item, int $contact, int $account): void
    {
        $item->becomes(ItemState::Taken, 'By their profile or address: they have left.', $account);
        $ends = array_column($item->facts['positions'], 'until');
        $since = array_column($item->facts['positions'], 'since');
        $on = $ends === [] ? max([$item->at->toDateString(), ...$since]) : max($ends);
        $ended = DB::table('positions')->where('contact_id', $contact)->whereNull('until')->update(['until' => $on]);
        $person = DB::table('contacts')->join('accounts', 'accounts.id', '=', 'account_id')->leftJoin(
            'places',
            fn ($join) => $join->on('places.account_id', '=', 'accounts.id')->where('headquarters', true),
        )->where('contacts.id', $contact)
            ->sole(['title', 'contacts.by_hand', 'reading', 'places.country', 'headcount']);
        $isByHand = in_array('title', json_decode($person->by_hand ?? '[]', true), true);
        $status = Title::unpacked($person->reading)->status;
        if (! $isByHand && $person->title !== null && $status !== Status::Former) {
            $title = mb_substr("Former {$person->title}", 0, 255);
            DB::table('contacts')->where('id', $contact)->update([
                'title' => $title, 'reading' => (new Titles)->read($title, $person->country, $person->headcount),
                'updated_at' => now(),
            ]);
            $ended++;
        }
        if ($ended > 0) {
            (new CareerSignals)->refresh([$contact]);
            AccountIds::markStale([$account]);
        }
    }

    /**
     * The newest position that is held still, at an account.
     *
     * @param  array<string, int>  $accounts
     * @return array<string, string>|null
     */
    private static function present(Brought $item, array $accounts): ?array
    {
        foreach ($item->facts['positions'] as $position) {
            if (! isset($position['until']) && isset($accounts[$position['domain'] ?? ''])) {
                return $position;
            }
        }

        return null;
    }

    /** @param  array<string, int>  $accounts */
    private static function wasAt(Brought $item, array $accounts): bool
    {
        return isset($item->facts['domain']) && array_filter(
            $item->facts['positions'],
            fn (array $one): bool => isset($accounts[$one['domain'] ?? '']),
        ) !== [];
    }

    /**
     * As a row of a file of contacts is read.
     *
     * @param  array<string, string>  $present
     * @return array<string, mixed>
     */
    private static function record(Feed $feed, Brought $item, array $present): array
    {
        $facts = $item->facts;
        $parts = preg_split('/\s+/u', trim((string) $facts['name'])) ?: [''];
        $last = (string) array_pop($parts);
        $before = array_filter($facts['positions'], fn (array $one): bool => $one !== $present);

        return array_filter([
            'domain' => $present['domain'], 'title' => $present['title'], 'profile' => $facts['profile'] ?? null,
            'source' => mb_substr($feed->name, 0, 80),
        ], fn (?string $value): bool => $value !== null) + [
            'first_name' => mb_substr(implode(' ', $parts), 0, 100), 'last_name' => mb_substr($last, 0, 100),
            'is_short' => false, 'is_later' => false, 'since' => $present['since'] ?? null, 'affiliations' => [],
            'channels' => self::channels($facts),
            'before' => array_values(array_map(fn (array $one): array => [
                'domain' => $one['domain'] ?? null, 'company' => $one['company'] ?? $one['domain'] ?? null,
                'title' => $one['title'], 'since' => $one['since'] ?? null,
                'until' => $one['until'] ?? $present['since'] ?? null,
            ], $before)),
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return list<array<string, string|null>>
     */
    private static function channels(array $facts): array
    {
        return ChannelReading::of(
            new Cells([], new Sense),
            isset($facts['email']) ? [$facts['email']] : [],
            $facts['profile'] ?? null,
            null,
        );
    }

    /**
     * @param  array<string, mixed>  $record
     * @param  array<string, int>  $accounts
     * @return array{int|null, string}
     */
    private static function who(KnownContacts $there, array $record, array $accounts): array
    {
        try {
            $contact = $there->find($record, $accounts[$record['domain']]);
        } catch (WaitingRow) {
            $contact = null;
        }

        return [$contact, self::says(isset($record['profile']) || KnownContacts::addresses($record) !== [])];
    }

    private static function says(bool $byAddress): string
    {
        return $byAddress ? 'By their profile or address.' : 'By their name and employer.';
    }

    /** @param  array<string, mixed>  $record */
    private function isErased(array $record): bool
    {
        return $this->erased->isErased($record['domain'], $record['first_name'], $record['last_name'], []);
    }

    private function signals(): int
    {
        return DB::table('signals')->where('derived', true)->count();
    }
}
