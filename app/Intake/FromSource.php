<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Sense;
use App\Models\Account;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Support\AccountIds;
use Carbon\CarbonImmutable;

/** Facts that a source tells one by one, taken in as rows of a file; what one told on a day is one intake. */
final class FromSource
{
    /**
     * @param  array<string, string>  $cells  field → what is told
     * @return array{int|null, string} the account, or nobody, and what became of it
     */
    public static function account(string $source, array $cells): array
    {
        $rows = new AccountRows;
        $row = new Cells(array_intersect_key($cells, AccountRows::columns()) + ['source' => $source], new Sense);
        [$ledger, $says, $record] = self::store($rows, $row, IntakeKind::Accounts, $source);
        if ($ledger === null || $record === null) {
            return [null, $says];
        }
        $ledger->write();
        $account = AccountIds::of([$record])[$record['domain']] ?? null;
        $account === null ?: AccountIds::markStale([$account]);
        $unread = array_keys($row->unread());

        return [$account, $unread === [] ? $says : "$says Left empty, since it cannot be read: "
            .implode(', ', $unread).'.'];
    }

    /**
     * @param  array<string, string>  $cells
     * @return array{Ledger|null, string} what writes down what follows from it, or nothing, and what became of it
     */
    public static function contact(string $source, Account $account, array $cells): array
    {
        if ($account->domain === null) {
            return [null, "{$account->name} has no website by which a contact is told; add them on its page."];
        }
        $row = new Cells($cells + ['domain' => $account->domain, 'source' => $source], new Sense);
        [$ledger, $says] = self::store(new ContactRows, $row, IntakeKind::Contacts, $source);

        return [$ledger, $says];
    }

    /**
     * @return array{Ledger|null, string, array<string, mixed>|null}
     */
    private static function store(RowReader $rows, Cells $row, IntakeKind $kind, string $source): array
    {
        try {
            $record = ['is_later' => false] + $rows->read($row);
        } catch (RejectedRow $e) {
            return [null, $e->getMessage(), null];
        }
        $intake = self::intake($source, $kind);
        $ledger = new Ledger($intake->id);
        $tally = $rows->store([1 => $record], $ledger);
        $intake->increment('rows', 1, [
            'created' => $intake->created + $tally->created, 'updated' => $intake->updated + $tally->updated,
            'unchanged' => $intake->unchanged + $tally->unchanged,
        ]);
        $why = $tally->rejected[1] ?? $tally->waiting[1] ?? null;

        return $why !== null
            ? [null, $why, null]
            : [$ledger, $tally->unchanged > 0 ? 'It is known already.' : 'It is as it says.', $record];
    }

    private static function intake(string $source, IntakeKind $kind): Intake
    {
        $name = mb_strimwidth("$source, ".CarbonImmutable::today()->toDateString(), 0, 190, '…');

        return Intake::query()->firstOrCreate(['name' => $name, 'kind' => $kind, 'path' => ''], [
            'checksum' => '', 'bytes' => 0, 'format' => ['encoding' => 'UTF-8', 'delimiter' => ',', 'columns' => []],
            'state' => IntakeState::Done, 'rows' => 0, 'started_at' => now(), 'finished_at' => now(),
        ])->refresh();
    }
}
