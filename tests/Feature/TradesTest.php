<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Models\Contact;
use App\Models\IndustryLabel;
use App\Models\IntakeState;
use App\Models\Standing;
use App\Standings\Starter;
use App\View\Today\Plan;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Text\Fold;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** The files of three teams in other trades come in as they lie there, and nothing of them has to be explained. */
final class TradesTest extends TestCase
{
    use HasCities;

    private const FOLDER = __DIR__.'/../data/trades';

    #[TestWith(['zahnarztpraxen', 'practices', 'Deutschland', 'Dentallabor; Dentalhandel'])]
    #[TestWith(['expediteurs', 'haulage', 'Nederland', 'Groothandel, Uitzendbureau, Koeriersdienst'])]
    #[TestWith(['software-agencies', 'software', 'UK', 'Recruitment agency; Accountants'])]
    public function test_the_files_of_a_team_come_in_and_give_ten_approaches(
        string $folder,
        string $trade,
        string $country,
        string $not,
    ): void {
        $text = (string) file_get_contents(self::FOLDER.'/expected.json');
        $teams = array_column(json_decode($text, true, 64, JSON_THROW_ON_ERROR)['trades'], null, 'folder');
        $team = $teams[$folder];
        $this->at('2026-11-27T09:00:00Z');
        $this->offer->rules?->update(['criteria' => []]);
        $this->offer->refresh();
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
        $this->actingAs($this->lead)->post('/begin/sells', ['name' => $team['offer']])->assertSessionHasNoErrors();
        $starter = Starter::of($trade) ?? self::fail('no such trade');
        $this->post('/begin/serves', [
            'trade' => $trade, 'industries' => $starter->industries, 'countries' => [$country], 'not' => [$not],
            'low' => (string) $starter->headcount[0], 'high' => (string) $starter->headcount[1],
        ])->assertSessionHasNoErrors();
        $this->post('/begin/buys', ['trade' => $trade, 'roles' => array_column($starter->roles, 'name')])
            ->assertSessionHasNoErrors();
        $this->rep->update(['pace' => 20]);
        $this->get('/')->assertOk();
        $planned = array_merge(...array_values((new Plan($this->offer->refresh(), $this->rep))->groups()));
        self::assertGreaterThanOrEqual(10, count($planned));
        foreach (array_slice($planned, 0, 10) as $row) {
            self::assertNotNull($row->contact, $row->standing->account->name);
            self::assertStringNotContainsString('[', $row->draft->headline());
        }
        self::assertGreaterThan(0, Standing::query()->where('cause', 'Not these industries')
            ->orWhere('cause', 'Industry')->count());
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
