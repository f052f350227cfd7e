<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\CellSort;
use App\Intake\Reading\DateOrder;
use App\Intake\Workbook\Workbook;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\Folder;
use Generator;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Throwable;

/** Accepts a file: finds out how it is written and what it most likely holds. */
final class ReceiveFile
{
    private const PASTED = 'Pasted rows';

    /** @throws UnreadableFile */
    public static function file(
        string $path,
        string $name,
        ?User $by,
        ?IntakeKind $kind = null,
        ?string $sheet = null,
    ): Intake {
        $drafts = $by === null
            ? 0
            : Intake::query()->where('user_id', $by->id)->where('state', IntakeState::Draft)->count();
        if ($drafts >= Limits::DRAFTS) {
            throw UnreadableFile::manyDrafts($drafts);
        }
        $folder = config('luftig.intakes');
        Folder::make($folder);
        $copy = Str::ulid().'.csv';
        $rows = "$folder/$copy.rows";
        $about = [];
        try {
            if (CardFile::is($path)) {
                CardFile::asCsv($path, $rows);
                $kind ??= IntakeKind::Contacts;
            } elseif (JsonRows::is($path)) {
                JsonRows::asCsv($path, $rows);
            } elseif (Workbook::is($path)) {
                $about = self::workbook($path, $sheet, $rows);
            }
            $file = TextFile::take(is_file($rows) ? $rows : $path, $folder.'/'.$copy);
        } catch (Throwable $e) {
            @unlink($folder.'/'.$copy);
            throw $e;
        } finally {
            @unlink($rows);
        }
        if (count($about['sheets'] ?? []) > 1) {
            // Another of its sheets may be chosen as long as nothing was brought in.
            copy($path, $folder.'/'.$copy.Intake::WORKBOOK);
        }
        $sorts = CellSort::ofColumns($file->records($folder.'/'.$copy));
        $kind ??= Mapping::kind($file->columns, $name, $sorts);
        $like = Remembered::like($kind, $file->columns);

        return Intake::query()->create([
            'user_id' => $by?->id, 'kind' => $kind, 'name' => mb_substr($name, 0, 190), 'path' => $copy,
            'checksum' => (string) sha1_file($folder.'/'.$copy), 'bytes' => filesize($folder.'/'.$copy) ?: 0,
            'format' => [
                'encoding' => $file->encoding, 'delimiter' => $file->delimiter, 'columns' => $file->columns,
                'headings_line' => $file->headingsLine,
                'dates' => DateOrder::ofColumns($file->records($folder.'/'.$copy)), 'sorts' => $sorts,
            ] + $about,
            'mapping' => $like->mapping ?? Mapping::guess($kind, $file->columns, $sorts),
            'answers' => $like?->answers === null ? null : ['words' => $like->answers['words'] ?? []],
            'state' => IntakeState::Draft,
        ])->refresh();
    }

    /**
     * @param  list<UploadedFile>  $uploads
     * @return Generator<string, string> name → path; what was pasted is a file only as long as it is looked at
     */
    public static function sources(array $uploads, ?string $pasted): Generator
    {
        foreach ($uploads as $upload) {
            yield $upload->getClientOriginalName() => $upload->getPathname();
        }
        if ($pasted !== null) {
            $path = (string) tempnam(sys_get_temp_dir(), 'luftig');
            file_put_contents($path, $pasted);
            try {
                yield self::PASTED => $path;
            } finally {
                @unlink($path);
            }
        }
    }

    /**
     * The same workbook, with another of its sheets.
     *
     * @throws UnreadableFile
     */
    public static function sheet(Intake $intake, string $sheet): Intake
    {
        $workbook = Importer::path($intake).Intake::WORKBOOK;
        $other = self::file($workbook, $intake->name, null, null, $sheet);
        $other->update(['user_id' => $intake->user_id]);
        $intake->discard();

        return $other;
    }

    /**
     * @return array{sheet: string, sheets: list<string>, date1904: bool}
     *
     * @throws UnreadableFile
     */
    private static function workbook(string $path, ?string $sheet, string $rows): array
    {
        $workbook = new Workbook($path);
        $sheets = $workbook->sheets();
        $sheet = in_array($sheet, $sheets, true) ? $sheet : $workbook->likely();
        $workbook->asCsv($sheet, $rows);

        return ['sheet' => $sheet, 'sheets' => $sheets, 'date1904' => $workbook->isFrom1904()];
    }
}
