<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Intake\LookThrough;
use App\Intake\RowReaders;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * Files of every kind whose cells hold what is hard to keep apart or too long to keep: none of them stops, each comes
 * in as it was foreseen, and brought again changes nothing.
 */
final class AwkwardFilesTest extends TestCase
{
    use HasCities;

    private const ROWS = 30;

    /** What may stand in the cells of a column, by the sort of it. */
    private const CELLS = [
        'domain' => [
            'a.example', 'b.example', 'https://www.A.example/x', 'MÜLLER.example', 'xn--mller-kva.example',
            'c.example.',
            'b.example:80', '', 'gmail.com', 'ä', 'http://', 'a@b.example', 'MUENCHEN.example', "a.exam\u{AD}ple", '.',
        ],
        'name' => [
            'Ida Lie', 'Lie, Ida', 'IDA LIE', 'Ida  Lie', 'I. Lie', 'Jörg Müller', 'Joerg Mueller', 'Łódź Anna',
            '張偉 Li',
            'Ida-Marie von der Lie', "O'Brien, Pat",
        ],
        'first_name' => ['Ida', 'IDA', 'Jörg', 'Joerg', 'Anna Maria', '😀'],
        'last_name' => ['Lie', 'LIE', 'Müller', 'Mueller', 'van Dam', '-'],
        'email' => [
            'ida@a.example', 'IDA@a.example', '"Ida" <ida@a.example>', 'ida@a.example; jo@a.example', 'info@a.example',
            'é@a.example', 'e@a.example', 'jörg@a.example', 'jorg@a.example', '', 'x', 'ida@müller.example', 'a@a',
        ],
        'profile' => [
            'https://p.example/ida', 'https://P.example/IDA', 'p.example/ida', 'https://p.example/ída', '',
            'https://p.example/ida/', 'javascript:alert(1)', 'https://p.example/straße', 'https://p.example/strasse',
        ],
        'phone' => ['+46 31 390 06 00', '0046313900600', '031-390 06 00', 'abc', '', '4,6E+10'],
        'country' => ['SE', 'Sverige', 'xx', '', 'Atlantis'],
        'city' => ['Malmö', 'Malmo', '', '?'],
        'day' => [
            '2026-11-20', '20.11.2026', 'soon', '', '2026-13-01', '45980', '0000-00-00', '9999-12-31', '3/2025',
        ],
        'kind' => ['funding', 'growth', 'news', 'nonsense', '', 'Stellenanzeige', 'tech_adopted', 'tech_dropped'],
        'text' => ['x', '', 'Round B', 'é', "e\u{301}", 'E', "a\nb", "tab\tx", "\u{200B}", 'RÜND', 'rund', 'LONG'],
        'number' => ['1', '-1', '1e9', '99999999999999', '12 %', '', 'NaN', '1,5 Mio', '∞', '-0', '4294967296'],
        'list' => ['Tryklog', 'TRYKLOG', 'Tryk-Log v2', 'Ü-Soft', 'U-Soft', '', 'ß', 'ss', 'é; e; É', 'a;a;A', 'LONG'],
        'link' => ['https://x.example/1', 'https://X.example/1', 'ftp://x', '', 'https://x.example/ü', 'x.example/u'],
        'deed' => ['wrote', 'commented', 'passed on', 'reacted', '?', ''],
        'email_state' => ['valid', 'invalid', 'lila', '', 'shared', 'off'],
        'before' => ['', '', 'Shift Lead, Fjernlund Papir, 2019–2026; Planner, a.example, 3/2015–11/2018'],
    ];

    private const SORTS = [
        'person' => 'email', 'technologies' => 'list', 'technology' => 'list', 'keywords' => 'list',
        'interests' => 'list', 'language' => 'list', 'school' => 'list', 'association' => 'list', 'parent' => 'domain',
        'switchboard' => 'phone', 'other_sites' => 'city',
    ];

    private const NUMBERS = [
        'headcount', 'growth', 'revenue', 'sites', 'founded', 'latitude', 'longitude', 'strength', 'confidence',
        'amount', 'openings', 'exchanges',
    ];

    /** @return array<string, array{int}> */
    public static function seeds(): array
    {
        return ['one' => [1], 'another' => [2], 'a third' => [3]];
    }

    #[DataProvider('seeds')]
    public function test_no_file_is_stopped_by_what_stands_in_it(int $seed): void
    {
        $chance = new Randomizer(new Mt19937($seed));
        foreach (IntakeKind::cases() as $kind) {
            [$fields, $text] = $this->file($kind, $chance);
            foreach ([1, 2] as $turn) {
                $intake = $this->take($kind, $fields, $text);
                self::assertSame(IntakeState::Done, $intake->state);
                $came = [
                    $intake->created, $intake->updated, $intake->unchanged, $intake->waiting, $intake->rejected,
                ];
                self::assertSame($intake->rows, array_sum($came), 'every row is one of these');
                $foreseen = array_map(
                    fn (string $what): int => $intake->outlook[$what] ?? -1,
                    ['new', 'changed', 'same', 'waiting', 'refused'],
                );
                self::assertSame($foreseen, $came, "{$kind->value}, turn $turn");
                if ($turn === 2) {
                    $changes = DB::table('intake_changes')->where('intake_id', $intake->id)->get()->toJson();
                    self::assertSame([0, 0], array_slice($came, 0, 2), "{$kind->value} once more: $changes");
                }
            }
        }
    }

    /** @return array{list<string>, string} */
    private function file(IntakeKind $kind, Randomizer $chance): array
    {
        $fields = array_values(array_filter(
            array_keys(RowReaders::columns($kind)),
            fn (string $field): bool => $field !== 'known_by'
                && (RowReaders::columns($kind)[$field]->required || $chance->getInt(0, 9) > 2),
        ));
        $lines = [implode(',', array_map(fn (string $field): string => "Own $field", $fields))];
        for ($n = 0; $n < self::ROWS; $n++) {
            $lines[] = implode(',', array_map(function (string $field) use ($kind, $chance): string {
                $cells = self::CELLS[$this->sort($kind, $field)];
                $cell = $cells[$chance->getInt(0, count($cells) - 1)];

                return '"'.str_replace(['LONG', '"'], [str_repeat('t', 600), '""'], $cell).'"';
            }, $fields));
        }

        return [$fields, implode("\n", $lines)."\n"];
    }

    private function sort(IntakeKind $kind, string $field): string
    {
        return match (true) {
            isset(self::CELLS[$field]) => $field,
            RowReaders::columns($kind)[$field]->isDay => 'day',
            in_array($field, self::NUMBERS, true) => 'number',
            default => self::SORTS[$field] ?? 'text',
        };
    }

    /** @param  list<string>  $fields */
    private function take(IntakeKind $kind, array $fields, string $text): Intake
    {
        $intake = $this->receive($kind, $text);
        $intake->update(['mapping' => $fields, 'state' => IntakeState::Draft]);
        (new LookThrough)->run($intake);
        $intake->refresh()->update(['state' => IntakeState::Queued]);
        (new Importer)->run($intake);

        return $intake->refresh();
    }
}
