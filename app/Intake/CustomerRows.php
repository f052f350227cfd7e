<?php

declare(strict_types=1);

namespace App\Intake;

use App\Contacts\CareerSignals;
use App\Intake\Accounts\AccountColumns;
use App\Support\AccountIds;
use App\Support\FileColumn;
use Illuminate\Support\Facades\DB;

/** Customers: since when and until when an account is one. */
final class CustomerRows implements RowReader
{
    public static function columns(): array
    {
        $accounts = AccountColumns::all();

        return [
            'domain' => $accounts['domain'],
            'since' => new FileColumn(
                'Customer since',
                [
                    'since', 'customer since', 'from', 'start', 'kunde seit', 'seit', 'kund sedan', 'kunde siden',
                    'klant sinds', 'klient od', 'od', 'von',
                ],
                '3/2024', isDay: true),
            'until' => new FileColumn(
                'Customer until',
                ['until', 'customer until', 'to', 'end', 'kunde bis', 'bis', 'till', 'til', 'tot', 'do'],
                '', isDay: true),
            'best' => new FileColumn(
                'Among the best',
                ['best', 'best customer', 'among the best', 'beste', 'basta', 'bedste', 'najlepszy'],
                'yes',
            ),
        ];
    }

    public function read(Cells $row): array
    {
        $domain = $row->domain('domain') ?? throw new RejectedRow('The domain is missing.');
        $since = $row->day('since');
        $until = $row->day('until');
        if ($since !== null && $until !== null && $until < $since) {
            throw new RejectedRow('The customer period ends before it begins.');
        }

        return [
            'domain' => $domain,
            'since' => $since === null ? null : substr($since, 0, 10),
            'until' => $until === null ? null : substr($until, 0, 10),
            'best' => $row->yes('best'),
        ];
    }

    /** @param  array<string, mixed>  $record */
    public function key(array $record): string
    {
        return $record['domain'].'|'.$record['since'];
    }

    public function store(array $records, Ledger $ledger): Tally
    {
        $tally = new Tally;
        $ids = AccountIds::of($records);
        $there = [];
        foreach (
            DB::table('customer_periods')->whereIn('account_id', [...$ids, ...array_column($records, 'account')])
                ->get() as $row
        ) {
            $there[$row->account_id.'|'.$row->since] = $row;
        }
        $touched = [];
        foreach ($records as $line => $record) {
            $account = $record['account'] ?? $ids[$record['domain']] ?? null;
            if ($account === null) {
                $tally->rejected[$line] = AccountIds::unknown($record['domain']);

                continue;
            }
            $period = $there[$account.'|'.$record['since']] ?? null;
            $after = ['until' => $record['until'], 'best' => $record['best']];
            if ($period === null) {
                $id = DB::table('customer_periods')
                    ->insertGetId(['account_id' => $account, 'since' => $record['since']] + $after);
                $ledger->created('customer_period', [$id]);
                $tally->created++;
            } elseif ($period->until !== $record['until'] || (bool) $period->best !== $record['best']) {
                DB::table('customer_periods')->where('id', $period->id)->update($after);
                $ledger->changed(
                    'customer_period', $period->id, ['until' => $period->until, 'best' => (bool) $period->best], $after,
                );
                $tally->updated++;
            } else {
                $tally->unchanged++;

                continue;
            }
            $touched[] = $account;
        }
        AccountIds::markStale($touched);
        (new CareerSignals)->refreshAt(...$touched);

        return $tally;
    }
}
