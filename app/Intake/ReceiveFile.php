<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\DateOrder;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\User;
use App\Support\Folder;
use Illuminate\Support\Str;
use Throwable;

/** Accepts a file: finds out how it is written and what it most likely holds. */
final class ReceiveFile
{
    /** @throws UnreadableFile */
    public static function file(string $path, string $name, ?User $by, ?IntakeKind $kind = null): Intake
    {
        $drafts = $by === null
            ? 0
            : Intake::query()->where('user_id', $by->id)->where('state', IntakeState::Draft)->count();
        if ($drafts >= Limits::DRAFTS) {
            throw UnreadableFile::manyDrafts($drafts);
        }
        $folder = config('luftig.intakes');
        Folder::make($folder);
        $copy = Str::ulid().'.csv';
        $cards = CardFile::is($path) ? $folder.'/'.$copy.'.cards' : null;
        try {
            if ($cards !== null) {
                CardFile::asCsv($path, $cards);
                $kind ??= IntakeKind::Contacts;
            }
            $file = TextFile::take($cards ?? $path, $folder.'/'.$copy);
        } catch (Throwable $e) {
            @unlink($folder.'/'.$copy);
            throw $e;
        } finally {
            $cards === null || @unlink($cards);
        }
        $kind ??= Mapping::kind($file->columns, $name);

        $like = Remembered::like($kind, $file->columns);

        return Intake::query()->create([
            'user_id' => $by?->id, 'kind' => $kind, 'name' => mb_substr($name, 0, 190), 'path' => $copy,
            'checksum' => (string) sha1_file($folder.'/'.$copy), 'bytes' => filesize($folder.'/'.$copy) ?: 0,
            'format' => [
                'encoding' => $file->encoding, 'delimiter' => $file->delimiter, 'columns' => $file->columns,
                'headings_line' => $file->headingsLine,
                'dates' => DateOrder::ofColumns($file->records($folder.'/'.$copy)),
            ],
            'mapping' => $like->mapping ?? Mapping::guess($kind, $file->columns),
            'answers' => $like?->answers === null ? null : ['words' => $like->answers['words'] ?? []],
            'state' => IntakeState::Draft,
        ])->refresh();
    }
}
