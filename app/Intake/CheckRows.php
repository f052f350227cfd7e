<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Contacts\ChannelReading;
use App\Intake\Contacts\ContactColumns;
use App\Support\AccountIds;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Reach\AddressState;
use stdClass;

/** What a checker found: the state of addresses that somebody has, and nothing else of them. */
final class CheckRows implements RowReader
{
    public static function columns(): array
    {
        $contacts = ContactColumns::all();

        return [
            'email' => new FileColumn(
                'E-mail address', [...$contacts['email']->names, 'address', 'adresse'], 'p.askov-rye@tunhede.example',
                true,
            ),
            'email_state' => new FileColumn(
                'What was found',
                [
                    ...$contacts['email_state']->names, 'verdict', 'result', 'status', 'ergebnis', 'befund', 'resultat',
                    'resultaat', 'wynik', 'tulos',
                ],
                'valid',
                true,
                choices: $contacts['email_state']->choices,
            ),
        ];
    }

    public function read(Cells $row): array
    {
        if (! $row->has('email')) {
            throw new RejectedRow('The address is missing.');
        }

        return [
            'email' => $row->email('email')
                ?? throw new RejectedRow("“{$row->all()['email']}” is no e-mail address."),
            'state' => $row->neededChoice('email_state', 'What was found', ChannelReading::STATES),
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['email'];
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $channels = DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->where('type', 'email')
            ->whereIn('value', array_column($records, 'email'))
            ->get(['channels.id', 'value', 'state', 'account_id'])->groupBy('value');
        $touched = [];
        foreach ($records as $line => $record) {
            $held = $channels[$record['email']] ?? null;
            if ($held === null) {
                $tally->rejected[$line] = "Nobody has the address {$record['email']}; bring the contacts first.";

                continue;
            }
            $changed = false;
            $isOther = fn (stdClass $channel): bool => $channel->state !== AddressState::Unknown->value
                && ChannelReading::isChange($channel->state, $record['state']);
            if (($record['is_later'] ?? false) === true && $held->contains($isOther)) {
                $tally->waiting[$line] = 'A row before it says otherwise of this address.';

                continue;
            }
            foreach ($held as $channel) {
                if (ChannelReading::isChange($channel->state, $record['state'])) {
                    $after = ['state' => $record['state']];
                    DB::table('channels')->where('id', $channel->id)->update($after);
                    $ledger->changed('channel', $channel->id, ['state' => $channel->state], $after);
                    $touched[] = $channel->account_id;
                    $changed = true;
                }
            }
            $changed ? $tally->updated++ : $tally->unchanged++;
        }
        AccountIds::markStale($touched);

        return $tally;
    }
}
