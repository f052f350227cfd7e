<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\Fingerprints;
use App\Intake\Contacts\ContactColumns;
use App\Intake\Contacts\ContactReading;
use App\Models\User;
use App\Network\Acquaintance;
use App\Support\Bulk;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Text\Fold;
use stdClass;

/**
 * Relations: an address book of one of us, of the one chosen at intake or the uploader where no column says whose; the
 * same by person within one book.
 */
final class RelationRows implements RowReader
{
    private const FIELDS = ['since', 'exchanges', 'last_exchange', 'source'];

    public function __construct(private readonly Fingerprints $erased = new Fingerprints)
    {
    }

    public static function columns(): array
    {
        $contacts = ContactColumns::all();

        return [
            'known_by' => new FileColumn(
                'Who of us knows them',
                [
                    'known by', 'knows', 'who knows', 'whose', 'owner', 'colleague', 'bekannt mit', 'kanner',
                    'address book of',
                ],
                '',
            ),
            'first_name' => $contacts['first_name'], 'last_name' => $contacts['last_name'], 'name' => $contacts['name'],
            'email' => $contacts['email'], 'profile' => $contacts['profile'],
            'domain' => new FileColumn('Domain of their company', $contacts['domain']->names, 'tunhede.example'),
            'since' => new FileColumn(
                'Known since',
                ['known since', 'since', 'connected', 'connected on', 'seit', 'sedan', 'siden', 'date'],
                '5/2019', isDay: true),
            'exchanges' => new FileColumn(
                'How often they wrote or spoke',
                ['exchanges', 'messages', 'mails', 'meetings', 'kontakte', 'times'],
                '12',
            ),
            'last_exchange' => new FileColumn(
                'Last wrote or spoke',
                ['last exchange', 'last contact', 'last message', 'last', 'zuletzt', 'senast', 'sidst'],
                '9/2026', isDay: true),
            'source' => $contacts['source'],
        ];
    }

    public function read(Cells $row): array
    {
        [$first, $last] = ContactReading::name($row);
        $day = fn (string $field): ?string => ($given = $row->day($field)) === null ? null : substr($given, 0, 10);
        $email = $row->email('email');
        $exchanges = $row->count('exchanges')?->value;

        return [
            'known_by' => $row->text('known_by'), 'person' => trim("$first $last"), 'first' => $first, 'last' => $last,
            'email' => $email, 'profile' => $row->page('profile'),
            'domain' => $row->domain('domain') ?? ($email === null ? null : ContactReading::ofAddress($email)),
            'since' => $day('since'),
            'exchanges' => $exchanges === null ? null : (int) round($exchanges),
            'last_exchange' => $day('last_exchange'),
            'source' => $row->text('source', 80),
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return sha1(implode(
            '|',
            [
                mb_strtolower($record['known_by'] ?? ''),
                $record['email']
                    ?? $record['profile']
                    ?? implode(' ', Fold::words($record['person'])).'|'.$record['domain'],
            ],
        ));
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $users = User::query()->get();
        $intake = DB::table('intakes')->where('id', $ledger->intake)->first(['user_id', 'whose_id']);
        $uploader = $intake?->user_id;
        $speaksFor = $uploader === null ? null : $users->firstWhere('id', $uploader)?->speaksFor();
        $now = now()->toDateTimeString();
        $prints = array_map(fn (array $record): string => $this->key(['known_by' => null] + $record), $records);
        $known = DB::table('relations')->whereIn('fingerprint', $prints)->get()
            ->keyBy(fn (stdClass $row): string => $row->user_id.$row->fingerprint);
        $new = [];
        $row = new KnownRow('relations', 'relation', self::FIELDS, $tally, $ledger, $now);
        foreach ($records as $line => $record) {
            $named = $record['known_by'] === null ? $intake->whose_id ?? $uploader : $users->first(
                fn (User $user): bool => in_array(
                    mb_strtolower($record['known_by']),
                    [mb_strtolower($user->name), mb_strtolower((string) $user->email)],
                    true,
                ),
            )?->id;
            if ($named === null) {
                $tally->rejected[$line] = $record['known_by'] === null
                    ? 'Nobody of us is named who knows this person.'
                    : "Nobody of us is called “{$record['known_by']}”; give the name or e-mail address as it stands "
                        .'under Team.';

                continue;
            }
            if ($speaksFor !== null && ! isset($speaksFor[$named])) {
                $tally->rejected[$line] = 'Whom '.$users->firstWhere('id', $named)?->name
                    .' knows they bring themselves.';

                continue;
            }
            if (
                $this->erased->isErased(
                    (string) $record['domain'],
                    $record['first'],
                    $record['last'],
                    [$record['email'], $record['profile']],
                )
            ) {
                $tally->rejected[$line] = 'This person asked to be erased, and is not brought in again.';

                continue;
            }
            $print = $prints[$line];
            $there = $known[$named.$print] ?? null;
            if (isset($new[$named.$print])) {
                // One of us can be named in two ways, by name and by address.
                $tally->unchanged++;

                continue;
            }
            if ($there === null) {
                $new[$named.$print] = [
                    $named, $record['person'], $record['email'], $record['profile'], $record['domain'],
                    ...array_map(fn (string $field) => $record[$field], self::FIELDS), $uploader, $print, $now, $now,
                ];

                continue;
            }
            $row->take($line, $record, $there);
        }
        $ids = Bulk::insert(
            'relations',
            [
                'user_id', 'person', 'email', 'profile', 'domain', ...self::FIELDS, 'brought_by', 'fingerprint',
                'created_at', 'updated_at',
            ],
            array_values($new),
        );
        $ledger->created('relation', $ids);
        $tally->created = count($ids);
        Acquaintance::tie();

        return $tally;
    }
}
