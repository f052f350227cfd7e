<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use App\Models\IntakeState;
use App\Support\Together;

/**
 * What would become of every row of a file: it is brought in part by part, and each part is taken back at once. Nothing
 * is held up meanwhile for longer than a part takes.
 */
final class LookThrough
{
    private const PART = 2000;

    /** Reasons that are told apart, of more only the first. */
    private const REASONS = 200;

    /** Words of a column that nobody explained, of more only the first. */
    private const WORDS = 200;

    private const NOTHING = [
        'offset' => 0, 'rows' => 0, 'new' => 0, 'changed' => 0, 'same' => 0, 'waiting' => 0, 'refused' => 0,
        'later' => 0, 'short' => 0, 'cleaned' => 0, 'reasons' => [], 'unread' => [], 'unknown' => [],
    ];

    private Told $told;

    public function run(Intake $intake): void
    {
        $print = self::print($intake);
        $this->told = new Told;
        $found = ['for' => $print, 'done' => false] + self::NOTHING;
        $part = [];
        try {
            foreach (CsvRecords::ofRows($intake) as $record) {
                $part[] = $record;
                if (count($part) === self::PART) {
                    $found = $this->with($found, $intake, $part);
                    $part = [];
                    if (! $this->goesOn($intake, $found)) {
                        return;
                    }
                }
            }
        } catch (UnreadableFile) {
            // The page says so when the file is looked at.
            return;
        }
        $this->goesOn($intake, ['done' => true] + $this->with($found, $intake, $part));
    }

    /** What is said of a file; when it changes, what was found no longer holds. */
    public static function print(Intake $intake): string
    {
        return sha1((string) json_encode([
            $intake->kind, $intake->mapping, $intake->answers, $intake->source, $intake->whose_id,
        ]));
    }

    /** @param  array<string, mixed>  $found */
    private function goesOn(Intake $intake, array $found): bool
    {
        $now = Intake::query()->find($intake->id);
        if ($now === null || $now->state !== IntakeState::Draft || self::print($now) !== $found['for']) {
            return false;
        }
        $now->update(['outlook' => $found]);

        return true;
    }

    /**
     * @param  array<string, mixed>  $found
     * @param  list<CsvRecord>  $part
     * @return array<string, mixed>
     */
    private function with(array $found, Intake $intake, array $part): array
    {
        if ($part === []) {
            return $found;
        }
        $rows = new (RowReaders::of($intake->kind));
        $reading = BatchReading::of($intake, $rows, $part);
        // Of whom an earlier part told it would have to be known what that made of them.
        $later = $this->told->known($rows, $reading->records);
        $tally = $this->tally($intake, $reading, $this->told->groups($rows, array_diff_key($reading->records, $later)));
        $this->told->remember($rows, $reading->records);
        $add = [
            'rows' => count($part), 'new' => $tally->created, 'changed' => $tally->updated,
            'same' => $tally->unchanged, 'waiting' => count($tally->waiting), 'refused' => count($tally->rejected),
            'later' => count($later), 'short' => count($reading->short), 'cleaned' => count($reading->cleaned),
        ];
        foreach ($add as $what => $count) {
            $found[$what] += $count;
        }
        $found['offset'] = $part[count($part) - 1]->end;
        $found['reasons'] = self::reasons($found['reasons'], $tally);
        foreach ($reading->unread as $cells) {
            foreach (array_keys($cells) as $heading) {
                $found['unread'][$heading] = ($found['unread'][$heading] ?? 0) + 1;
            }
        }
        foreach ($reading->unknown as $field => $words) {
            foreach ($words as $word => $count) {
                if (isset($found['unknown'][$field][$word]) || count($found['unknown'][$field] ?? []) < self::WORDS) {
                    $found['unknown'][$field][$word] = ($found['unknown'][$field][$word] ?? 0) + $count;
                }
            }
        }

        return $found;
    }

    /** @param  list<array<int, array<string, mixed>>>  $groups */
    private function tally(Intake $intake, BatchReading $reading, array $groups): Tally
    {
        $tally = new Tally;
        try {
            Together::write(function () use ($intake, $reading, $groups, &$tally): never {
                // What a reader remembers of a part that was taken back is not there.
                $rows = new (RowReaders::of($intake->kind));
                $tally = new Tally;
                $tally->rejected = $reading->rejected;
                $tally->waiting = $reading->waiting;
                foreach ($groups as $group) {
                    $tally->add($rows->store($group, new Ledger($intake->id)));
                }
                throw new TakenBack;
            });
        } catch (TakenBack) {
            return $tally;
        }
    }

    /**
     * @param  array<string, int>  $reasons
     * @return array<string, int> a sentence without what it names → how many rows
     */
    private static function reasons(array $reasons, Tally $tally): array
    {
        foreach ([...$tally->rejected, ...$tally->waiting] as $reason) {
            $same = (string) preg_replace(['/“[^”]*”/u', '/[\w.-]+@[\w.-]+|\b[\w-]+(?:\.[\w-]+)+\b/u'], '…', $reason);
            if (isset($reasons[$same]) || count($reasons) < self::REASONS) {
                $reasons[$same] = ($reasons[$same] ?? 0) + 1;
            }
        }

        return $reasons;
    }
}
