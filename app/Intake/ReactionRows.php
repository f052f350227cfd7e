<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\Fingerprints;
use App\Intake\Contacts\ContactColumns;
use App\Intake\Contacts\ContactReading;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;

/**
 * Who wrote, commented on, passed on or reacted to posts. Whoever is a contact has it as a signal, one for each post,
 * of the most that they did; whoever is nobody's contact is kept as a candidate, and the row waits.
 */
final class ReactionRows implements RowReader
{
    /** What somebody can do with a post, in the words of a signal's title. */
    private const SAYS = [
        'wrote' => 'Wrote', 'commented' => 'Commented on', 'passed on' => 'Passed on', 'reacted' => 'Reacted to',
    ];

    private const TITLE = 255;

    public function __construct(
        private readonly SignalRows $signals = new SignalRows,
        private readonly Fingerprints $erased = new Fingerprints,
    ) {
    }

    public static function columns(): array
    {
        $contacts = ContactColumns::all();

        return [
            'profile' => $contacts['profile']->needed(),
            'link' => new FileColumn(
                'Post (its address)',
                ['post', 'post link', 'post url', 'link', 'url', 'beitrag', 'inlagg', 'opslag', 'innlegg'],
                'https://posts.example/night-shifts',
                true,
            ),
            'deed' => new FileColumn(
                'What they did',
                ['reaction', 'deed', 'action', 'type', 'reaktion', 'aktion', 'reactie', 'reakcja', 'reaktio'],
                'commented',
                true,
                choices: array_keys(self::SAYS),
            ),
            'date' => new FileColumn(
                'Day and hour',
                ['when', 'date', 'day', 'time', 'reacted at', 'wann', 'datum', 'dato', 'data', 'tid'],
                '2026-11-20 08:00',
                true,
                isDay: true,
            ),
            'topic' => new FileColumn(
                'What the post is about',
                ['topic', 'post title', 'subject', 'thema', 'amne', 'emne', 'onderwerp', 'temat', 'aihe', 'sujet'],
                'Night shifts',
            ),
            'quote' => new FileColumn(
                'What they wrote',
                ['quote', 'comment', 'text', 'words', 'kommentar', 'wortlaut', 'komentarz', 'commentaire'],
                '',
            ),
            'first_name' => $contacts['first_name'],
            'last_name' => $contacts['last_name'],
            'name' => $contacts['name'],
            'company' => new FileColumn(
                'Company',
                ['company', 'firm', 'employer', 'firma', 'unternehmen', 'foretag', 'virksomhed', 'bedrijf', 'yritys'],
                'Glasverk Tunhede',
            ),
            'title' => $contacts['title'],
            'source' => $contacts['source'],
        ];
    }

    public function read(Cells $row): array
    {
        if (! $row->has('profile')) {
            throw new RejectedRow('The profile of the person is missing.');
        }
        $deed = $row->neededChoice('deed', 'What they did', array_intersect_key(
            array_fill_keys(Strength::engagements(), []), self::SAYS,
        ));
        $link = $row->page('link');

        return [
            'profile' => $row->page('profile')
                ?? throw new RejectedRow("“{$row->all()['profile']}” is no address of a profile."),
            'link' => $link ?? throw new RejectedRow(
                $row->has('link') ? "“{$row->all()['link']}” is no address of a post." : 'The post is missing.',
            ),
            'deed' => $deed, 'occurred_at' => $row->neededDay('date', 'The day'),
            'topic' => $row->text('topic'), 'quote' => $row->text('quote', 5000),
            'name' => trim(implode(' ', ContactReading::nameIfAny($row))), 'company' => $row->text('company'),
            'title' => $row->text('title', self::TITLE), 'source' => $row->text('source', 80),
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return mb_strtolower($record['profile']).'|'.$record['link'];
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $people = DB::table('contacts')->leftJoin('contacts AS kept', 'kept.id', '=', 'contacts.merged_into')
            ->whereIn('contacts.profile', array_column($records, 'profile'))
            ->selectRaw('LOWER(contacts.profile) AS profile, COALESCE(kept.id, contacts.id) AS id')
            ->selectRaw('COALESCE(kept.account_id, contacts.account_id) AS account')->get()->keyBy('profile');
        $signals = $candidates = [];
        foreach ($records as $line => $record) {
            $person = $people[mb_strtolower($record['profile'])] ?? null;
            if ($person !== null) {
                $signals[$line] = self::signal($record, $person->id, $person->account);
            } elseif ($this->erased->hasErased([$record['profile']])) {
                $tally->rejected[$line] = 'This person asked to be erased, and is not kept.';
            } else {
                $candidates[$line] = $record;
                $tally->waiting[$line] = 'Nobody has this profile: kept as a candidate. Brought again once they are a '
                    .'contact, it is a signal of theirs.';
            }
        }
        $stronger = $this->stronger($signals);
        $tally->unchanged = count($signals) - count($stronger);
        $tally->add($this->signals->store($stronger, $ledger));
        (new Candidates)->keep($candidates, $ledger);

        return $tally;
    }

    /**
     * Signals that say more than what is there: of two deeds under one post the greater counts, of two of the same the
     * newer.
     *
     * @param  array<int, array<string, mixed>>  $signals  by line
     * @return array<int, array<string, mixed>>
     */
    private function stronger(array $signals): array
    {
        $there = DB::table('signals')->whereIn('fingerprint', array_column($signals, 'fingerprint'))
            ->get(['facts', 'fingerprint', 'occurred_at'])->keyBy('fingerprint');

        return array_filter($signals, function (array $signal) use ($there): bool {
            $known = $there[$signal['fingerprint']] ?? null;
            $deed = json_decode($known->facts ?? '[]', true)['deed'] ?? null;
            $more = $deed === null
                ? 1
                : Strength::ofEngagement($signal['facts']['deed']) <=> Strength::ofEngagement($deed);

            return $more > 0 || $more === 0 && $signal['occurred_at'] > $known?->occurred_at;
        });
    }

    /**
     * @param  array<string, mixed>  $record
     * @return array<string, mixed>
     */
    private static function signal(array $record, int $contact, int $account): array
    {
        $post = $record['topic'] === null
            ? 'a post: '.preg_replace('~^https?://~', '', $record['link'])
            : "“{$record['topic']}”";

        return [
            'account' => $account, 'contact' => $contact, 'kind' => Kind::PostEngagement->value,
            'title' => mb_strimwidth(self::SAYS[$record['deed']].' '.$post, 0, self::TITLE, '…'),
            'occurred_at' => $record['occurred_at'], 'since' => null, 'strength' => null, 'strength_given' => false,
            'confidence' => 1.0, 'facts' => ['deed' => $record['deed']], 'person' => null,
            'source' => $record['source'], 'quote' => $record['quote'], 'link' => $record['link'],
            'fingerprint' => sha1("post|$contact|{$record['link']}"),
        ];
    }
}
