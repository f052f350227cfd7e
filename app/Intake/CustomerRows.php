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
            'best' => $row->has('best') ? $row->yes('best') : null,
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
            if ($period === null) {
                $id = DB::table('customer_periods')->insertGetId([
                    'account_id' => $account, 'since' => $record['since'], 'until' => $record['until'],
                    'best' => $record['best'] ?? false,
                ]);
                $ledger->created('customer_period', [$id]);
                $tally->created++;
                $touched[] = $account;

                continue;
            }
            $before = ['until' => $period->until, 'best' => (bool) $period->best];
            $after = array_filter(
                ['until' => $record['until'], 'best' => $record['best']],
                fn (mixed $value, string $field): bool => $value !== null && $value !== $before[$field],
                ARRAY_FILTER_USE_BOTH,
            );
            $otherwise = Otherwise::says($record, $after, $before);
            if ($otherwise !== null) {
                $tally->waiting[$line] = $otherwise;
            } elseif ($after === []) {
                $tally->unchanged++;
            } else {
                DB::table('customer_periods')->where('id', $period->id)->update($after);
                $ledger->changed('customer_period', $period->id, array_intersect_key($before, $after), $after);
                $tally->updated++;
                $touched[] = $account;
            }
        }
        AccountIds::markStale($touched);
        (new CareerSignals)->refreshAt(...$touched);

        return $tally;
    }
}
