<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\Sense;
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
        try {
            $record = $rows->read($row);
        } catch (RejectedRow $e) {
            return [null, $e->getMessage()];
        }
        $intake = self::intake($source);
        $ledger = new Ledger($intake->id);
        $tally = $rows->store([1 => ['is_later' => false] + $record], $ledger);
        $ledger->write();
        $intake->increment('rows', 1, [
            'created' => $intake->created + $tally->created, 'updated' => $intake->updated + $tally->updated,
            'unchanged' => $intake->unchanged + $tally->unchanged,
        ]);
        $why = $tally->rejected[1] ?? $tally->waiting[1] ?? null;
        if ($why !== null) {
            return [null, $why];
        }
        $account = AccountIds::of([$record])[$record['domain']] ?? null;
        $tally->unchanged > 0 || $account === null ?: AccountIds::markStale([$account]);
        $unread = array_keys($row->unread());

        return [$account, match (true) {
            $unread !== [] => 'Left empty, since it cannot be read: '.implode(', ', $unread).'.',
            $tally->unchanged > 0 => 'It is known already.',
            default => 'The account is as it says.',
        }];
    }

    private static function intake(string $source): Intake
    {
        $name = mb_strimwidth("$source, ".CarbonImmutable::today()->toDateString(), 0, 190, '…');

        return Intake::query()->firstOrCreate(['name' => $name, 'kind' => IntakeKind::Accounts, 'path' => ''], [
            'checksum' => '', 'bytes' => 0, 'format' => ['encoding' => 'UTF-8', 'delimiter' => ',', 'columns' => []],
            'state' => IntakeState::Done, 'rows' => 0, 'started_at' => now(), 'finished_at' => now(),
        ])->refresh();
    }
}
