<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Models\Contact;
use App\Models\IndustryLabel;
use App\Models\IntakeState;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Text\Fold;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** The files of three teams in other trades come in as they lie there, and nothing of them has to be explained. */
final class TradesTest extends TestCase
{
    use HasCities;

    private const FOLDER = __DIR__.'/../data/trades';

    #[TestWith(['zahnarztpraxen'])]
    #[TestWith(['expediteurs'])]
    #[TestWith(['software-agencies'])]
    public function test_the_files_of_a_team_come_in(string $folder): void
    {
        $text = (string) file_get_contents(self::FOLDER.'/expected.json');
        $teams = array_column(json_decode($text, true, 64, JSON_THROW_ON_ERROR)['trades'], null, 'folder');
        $team = $teams[$folder];
        $this->at('2026-11-27T09:00:00Z');
        foreach ($team['order'] as $kind) {
            $expected = $team['files'][$kind];
            $intake = ReceiveFile::file(self::FOLDER.'/'.$expected['file'], basename($expected['file']), $this->rep);
            self::assertSame($kind, $intake->kind->value, 'what the file holds');
            $found = array_combine(
                $intake->format['columns'],
                array_map(
                    fn (int $at): ?string => $intake->mapping[$at] ?? null,
                    array_keys($intake->format['columns']),
                ),
            );
            $wanted = array_map(
                fn (?string $column): ?string => $column === 'fact' ? null : $column,
                array_column($expected['headings'], 1, 0),
            );
            self::assertSame($wanted, $found, 'what its columns hold');
            $intake->update(['state' => IntakeState::Queued]);
            (new Importer)->run($intake);
            $intake->refresh();
            $why = $intake->rejections()->pluck('reason')->implode('; ');
            self::assertSame(
                [$expected['rows'], 0, 0, 0, 0],
                [$intake->created, $intake->updated, $intake->unchanged, $intake->waiting, $intake->rejected],
                $why,
            );
            // “auf Anfrage” is no amount, and nothing else is unread.
            self::assertSame(
                [],
                DB::table('intake_cells')->whereNotIn('written', ['auf Anfrage', 'op aanvraag', 'undisclosed'])
                    ->where('intake_id', $intake->id)->pluck('written')->all(),
                'cells that cannot be read',
            );
        }
        $unread = Contact::query()->unread()->pluck('title')->countBy()->sortKeys()->all();
        $planted = $team['unknown']['titles'];
        ksort($planted);
        self::assertSame($planted, $unread);
        self::assertEqualsCanonicalizing(
            array_map(fn (string $label): string => implode(' ', Fold::words($label)), array_keys(
                $team['unknown']['labels'],
            )),
            IndustryLabel::query()->whereNull('code')->pluck('label')->all(),
        );
    }
}
