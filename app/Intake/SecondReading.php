<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use App\Models\IntakeRejection;
use App\Models\IntakeState;
use App\Support\Bulk;
use App\Support\Together;
use Closure;
use Illuminate\Database\Eloquent\Collection;

/** Rows of a file that waited, brought in after somebody said what is meant; undone together with their file. */
final class SecondReading
{
    /** So many at once, while somebody waits. */
    private const MOST = 2000;

    /** How many wait only because no website tells which account they are. */
    public static function withoutWebsite(Intake $intake): int
    {
        return $intake->rejections()->where('waits', true)->where('reason', AccountRows::NO_WEBSITE)->count();
    }

    /** How many have more cells than headings, and a cell in which a sign may have been meant. */
    public static function proposed(Intake $intake): int
    {
        return $intake->rejections()->where('waits', true)->where('reason', 'like', BatchReading::PROPOSES)->count();
    }

    /**
     * Accounts without a website: each is one of its own, until a person says that it is another.
     *
     * @return int how many came in
     */
    public function bringWithoutWebsite(Intake $intake): int
    {
        $rows = $intake->rejections()->where('waits', true)->where('reason', AccountRows::NO_WEBSITE)
            ->limit(self::MOST)->get();

        return $this->bring($intake, $rows, fn (array $cells): array => $cells, function (
            RowReader $reader,
            array $records,
            Ledger $ledger,
        ): Tally {
            $tally = new Tally;
            foreach ($records as $record) {
                if ($reader instanceof AccountRows) {
                    $reader->enter($record, $ledger);
                    $tally->created++;
                }
            }

            return $tally;
        });
    }

    /**
     * Rows with a cell too many, read as it was proposed.
     *
     * @return int how many came in
     */
    public function bringAsProposed(Intake $intake): int
    {
        $reader = new (RowReaders::of($intake->kind));
        $rows = $intake->rejections()->where('waits', true)->where('reason', 'like', BatchReading::PROPOSES)
            ->limit(self::MOST)->get();

        return $this->bring(
            $intake,
            $rows,
            fn (array $cells): array => BatchReading::meant($intake, $reader, $cells) ?? $cells,
            function (RowReader $reader, array $records, Ledger $ledger): Tally {
                $tally = new Tally;
                foreach ((new Told)->groups($reader, $records) as $group) {
                    $tally->add($reader->store($group, $ledger));
                }

                return $tally;
            },
        );
    }

    /**
     * @param  Collection<int, IntakeRejection>  $rows
     * @param  Closure(list<string>): list<string>  $cells
     * @param  Closure(RowReader, array<int, array<string, mixed>>, Ledger): Tally  $store
     */
    private function bring(Intake $intake, Collection $rows, Closure $cells, Closure $store): int
    {
        if ($intake->state !== IntakeState::Done || $rows->isEmpty()) {
            return 0;
        }

        return Together::write(function () use ($intake, $rows, $cells, $store): int {
            $reader = new (RowReaders::of($intake->kind));
            $texts = $rows->mapWithKeys(fn (IntakeRejection $row): array => [$row->line => $cells($row->row)])->all();
            $reading = BatchReading::of($intake, $reader, array_map(
                fn (array $text, int $line): CsvRecord => new CsvRecord($text, '', $line, 0),
                $texts,
                array_keys($texts),
            ));
            $ledger = new Ledger($intake->id);
            $tally = $store($reader, $reading->records, $ledger);
            $ledger->write();
            $tally->rejected += $reading->rejected;
            $tally->waiting += $reading->waiting;
            IntakeRejection::query()->whereIn('id', $rows->modelKeys())->delete();
            $still = [];
            foreach ($rows as $row) {
                $reason = $tally->rejected[$row->line] ?? $tally->waiting[$row->line] ?? null;
                if ($reason !== null) {
                    $still[] = [
                        $intake->id, $row->line, mb_substr($reason, 0, 500), isset($tally->waiting[$row->line]),
                        json_encode($row->row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                    ];
                }
            }
            Bulk::insert('intake_rejections', ['intake_id', 'line', 'reason', 'waits', 'row'], $still);
            $intake->update([
                'created' => $intake->created + $tally->created, 'updated' => $intake->updated + $tally->updated,
                'unchanged' => $intake->unchanged + $tally->unchanged,
                'rejected' => $intake->rejected + count($tally->rejected),
                'waiting' => $intake->waiting - $rows->count() + count($tally->waiting),
            ]);

            return $rows->count() - count($still);
        }, $intake);
    }
}
