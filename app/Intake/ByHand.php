<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Contacts\ChannelReading;
use App\Intake\Reading\Sense;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Together;
use Closure;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Reach\AddressState;

/**
 * What somebody types of an account or a signal, read as a row of a file would be, and written down like one, so that
 * it can be undone. What cannot be read is sent back instead of left out.
 */
final class ByHand
{
    /** column of a file of customers → what it is called beside the facts of an account */
    private const CUSTOMER = ['since' => 'customer_since', 'until' => 'customer_until', 'best' => 'customer_best'];

    /**
     * @param  array<string, string>  $cells  column → what is typed, blank: nothing is said; and customer_since,
     *                                        customer_until, customer_best: since and until when it is a customer
     * @return array{Account, Intake}
     *
     * @throws ValidationException naming the fields
     */
    public static function account(?Account $account, array $cells, User $by): array
    {
        $customer = self::customer($cells);
        $cells = array_diff_key($cells, array_flip(self::CUSTOMER));
        $rows = new AccountRows;
        $record = self::read($rows, $cells + ['domain' => '', 'name' => $account->name ?? '']);
        $record['domain'] ??= null;
        $other = $record['domain'] === null ? null : Account::query()->where('domain', $record['domain'])->first();
        if ($other !== null && ($other->merged_into ?? $other->id) !== $account?->id) {
            throw ValidationException::withMessages([
                'domain' => "{$other->name} has that domain; an account is told by its domain.",
            ]);
        }
        if ($account?->domain !== null && $record['domain'] !== null && $record['domain'] !== $account->domain) {
            throw ValidationException::withMessages([
                'domain' => "This account is told by the domain {$account->domain}. Add the other one as an account.",
            ]);
        }
        if (($cells['status'] ?? '') === 'none') {
            $record['status'] = null;
        }

        $set = function (Ledger $ledger) use ($rows, $account, $record, $customer, $by): int {
            $id = $rows->set($account?->id, $record + ['source' => self::source($by)], $ledger);
            if ($customer !== null) {
                (new CustomerRows)->store([1 => ['account' => $id, 'domain' => "account $id"] + $customer], $ledger);
            }

            return $id;
        };

        return Together::write(function () use ($account, $record, $set, $by): array {
            [$id, $intake] = self::write(
                IntakeKind::Accounts, (string) ($record['name'] ?? $account?->name), $by, $set,
            );
            AccountIds::markStale([$id]);
            $intake->update($account === null ? ['created' => 1] : ['updated' => 1]);

            return [Account::query()->findOrFail($id), $intake];
        });
    }

    /**
     * @param  array<string, string>  $cells  column → what is typed
     *
     * @throws ValidationException naming the fields
     */
    public static function signal(Account $account, array $cells, User $by): Intake
    {
        $rows = new SignalRows;
        // Whatever its domain is, or if it has none: the account is known.
        $record = self::read($rows, ['domain' => 'account.example', 'source' => self::source($by)] + $cells);
        $record = ['account' => $account->id, 'domain' => $account->domain ?? 'account '.$account->id] + $record;

        return Together::write(function () use ($rows, $account, $record, $by): Intake {
            [$tally, $intake] = self::write(
                IntakeKind::Signals,
                $account->name,
                $by,
                fn (Ledger $ledger): Tally => $rows->store([1 => $record], $ledger),
            );
            if ($tally->rejected !== []) {
                throw ValidationException::withMessages(['kind' => array_values($tally->rejected)]);
            }
            if ($tally->unchanged > 0) {
                throw ValidationException::withMessages(['title' => 'This is known already, of that day.']);
            }
            $intake->update(['created' => $tally->created, 'updated' => $tally->updated]);

            return $intake;
        });
    }

    /**
     * @param  array<string, string>  $cells
     * @return array<string, mixed>|null what is said of its being a customer; null: nothing
     *
     * @throws ValidationException
     */
    private static function customer(array $cells): ?array
    {
        $said = array_filter(
            array_map(fn (string $field): string => trim($cells[$field] ?? ''), self::CUSTOMER),
            fn (string $cell): bool => $cell !== '',
        );
        if ($said === []) {
            return null;
        }
        try {
            return self::read(new CustomerRows, ['domain' => 'account.example'] + $said);
        } catch (ValidationException $e) {
            $messages = [];
            foreach ($e->errors() as $field => $says) {
                $messages[self::CUSTOMER[$field] ?? $field] = $says;
            }
            throw ValidationException::withMessages($messages);
        }
    }

    /**
     * @param  string  $type  email, phone or profile
     *
     * @throws ValidationException
     */
    public static function channel(Contact $contact, string $type, string $value): Channel
    {
        $row = new Cells([$type => $value], new Sense);
        $country = $contact->country ?? $contact->account->headquarters()?->country;
        $email = $row->email('email');
        $profile = $row->page('profile');
        $read = ChannelReading::of($row, $email === null ? [] : [$email], $profile, $country)[0] ?? null;
        if ($read === null) {
            throw ValidationException::withMessages(['value' => "“{$value}” is no ".[
                'email' => 'e-mail address', 'phone' => 'phone number', 'profile' => 'address of a profile',
            ][$type].'.']);
        }

        return Together::write(function () use ($contact, $read): Channel {
            $channel = Channel::query()->firstOrCreate(
                ['contact_id' => $contact->id, 'type' => $read['type'], 'value' => $read['value']],
                ['state' => $read['state'] ?? AddressState::Unknown->value],
            );
            if ($read['type'] === 'social') {
                $contact->update(['profile' => $read['value']]);
            }
            AccountIds::markStale([$contact->account_id]);

            return $channel->refresh();
        }, $contact);
    }

    /**
     * @param  array<string, string>  $cells
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    private static function read(RowReader $rows, array $cells): array
    {
        $typed = array_filter(array_map(trim(...), $cells), fn (string $cell): bool => $cell !== '');
        $row = new Cells($typed, new Sense);
        try {
            $record = $rows->read($row);
        } catch (RejectedRow $e) {
            throw ValidationException::withMessages(['row' => $e->getMessage()]);
        }
        $labels = $rows::columns();
        $unread = [];
        foreach ($row->unread() as $field => $written) {
            $label = lcfirst($labels[$field]->label ?? $field);
            $unread[$field] = "“{$written}” cannot be read as $label. Nothing was kept.";
        }

        return $unread === [] ? $record : throw ValidationException::withMessages($unread);
    }

    /**
     * @template T
     *
     * @param  Closure(Ledger): T  $work
     * @return array{T, Intake}
     */
    private static function write(IntakeKind $kind, string $name, User $by, Closure $work): array
    {
        $intake = Intake::query()->create([
            'user_id' => $by->id, 'kind' => $kind, 'name' => mb_substr("By hand: $name", 0, 190), 'path' => '',
            'checksum' => '', 'bytes' => 0, 'format' => ['encoding' => 'UTF-8', 'delimiter' => ',', 'columns' => []],
            'state' => IntakeState::Done, 'rows' => 1, 'started_at' => now(), 'finished_at' => now(),
        ]);
        $ledger = new Ledger($intake->id);
        $result = $work($ledger);
        $ledger->write();

        return [$result, $intake];
    }

    private static function source(User $by): string
    {
        return mb_substr($by->name, 0, 70).', by hand';
    }
}
