<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exports\WorkbookFile;
use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Intake\Workbook\Workbook;
use App\Models\Account;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use DOMDocument;
use Tests\TestCase;
use ZipArchive;

/** Workbooks out: as they are written, our own reader and any other reads them. */
final class WorkbookOutTest extends TestCase
{
    /** @var list<string> */
    private array $paths = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->paths);
        parent::tearDown();
    }

    public function test_what_is_written_is_read_the_same(): void
    {
        $lines = [
            ['Glasverk Tunhede', '420', '00450', '12.5 %', "two\nlines"],
            ['=HYPERLINK("http://evil.example")', '-3.25', '+46 70 174 06 05', '', '<b>&"\''],
            ['Łódź 🙂', '12345678901234567890', '1e5', '-', "\x00\x08tail"],
        ];
        $path = $this->written(['name', 'heads', 'code', 'share', 'more'], $lines);
        self::assertSame([
            'name,heads,code,share,more', 'Glasverk Tunhede,420,00450,12.5 %,two / lines',
        ], array_slice($this->read($path), 0, 2));
        [, , $second, $third] = $this->read($path);
        self::assertStringContainsString('-3.25,+46 70 174 06 05,,', $second);
        self::assertStringContainsString('=HYPERLINK', $second, 'a text, and no formula');
        self::assertSame('Łódź 🙂,12345678901234567890,1e5,-,tail', $third);
        $sheet = $this->part($path, 'xl/worksheets/sheet1.xml');
        self::assertStringNotContainsString('<f>', $sheet);
        self::assertStringContainsString('<c r="B2"><v>420</v></c>', $sheet, 'a number is one');
        self::assertStringContainsString('<c r="C2" t="inlineStr">', $sheet, 'a code with a zero is a text');
        self::assertStringNotContainsString('"D3"', $sheet, 'an empty cell is not there');
    }

    public function test_every_part_is_well_formed_and_named_in_the_others(): void
    {
        $path = $this->written(array_map(fn (int $i): string => "column $i", range(1, 60)), [
            array_map(strval(...), range(1, 60)),
        ]);
        foreach (['[Content_Types].xml', '_rels/.rels', 'xl/workbook.xml', 'xl/_rels/workbook.xml.rels'] as $part) {
            self::assertTrue((new DOMDocument)->loadXML($this->part($path, $part)), $part);
        }
        $sheet = $this->part($path, 'xl/worksheets/sheet1.xml');
        self::assertTrue((new DOMDocument)->loadXML($sheet));
        foreach (['Z1', 'AA1', 'AZ2', 'BH2'] as $cell) {
            self::assertStringContainsString("r=\"$cell\"", $sheet);
        }
        self::assertSame(['Luftig'], (new Workbook($path))->sheets());
    }

    public function test_a_full_sheet_goes_on_in_the_next_with_its_headings(): void
    {
        $lines = array_map(fn (int $i): array => ["row $i"], range(1, 7));
        $path = $this->written(['name'], $lines, 4);
        self::assertSame(['Luftig', 'Luftig 2', 'Luftig 3'], (new Workbook($path))->sheets());
        self::assertSame(['name', 'row 1', 'row 2', 'row 3'], $this->read($path));
        self::assertSame(['name', 'row 4', 'row 5', 'row 6'], $this->read($path, 'Luftig 2'));
        self::assertSame(['name', 'row 7'], $this->read($path, 'Luftig 3'));
        self::assertSame(['name'], $this->read($this->written(['name'], [])), 'of nobody the headings are left');
    }

    public function test_a_cell_is_cut_where_spreadsheets_end(): void
    {
        $path = $this->written(['name'], [[str_repeat('ä', 40_000)], ["\xC3\x28 broken"]]);
        [, $long, $broken] = $this->read($path);
        self::assertSame(32_767, mb_strlen($long));
        self::assertStringContainsString('broken', $broken);
    }

    public function test_what_is_found_goes_out_and_comes_in_again_unchanged(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\n"
            ."tunhede.example;Glasverk Tunhede;glass;420;Denmark\nsverkhult.example;=Papir;paper;60;Norway\n");
        $this->actingAs($this->rep);
        $response = $this->get(route('finder.export', [
            'xlsx', 'on' => 'accounts', 'columns' => ['name', 'domain', 'headcount'],
        ]))->assertOk();
        self::assertStringContainsString('.xlsx', (string) $response->headers->get('Content-Disposition'));
        $this->paths[] = $path = tempnam(sys_get_temp_dir(), 'out').'.xlsx';
        file_put_contents($path, $response->streamedContent());
        self::assertTrue(Workbook::is($path));
        $intake = ReceiveFile::file($path, 'accounts.xlsx', $this->rep, IntakeKind::Accounts);
        $intake->update(['state' => IntakeState::Queued]);
        (new Importer)->run($intake);
        self::assertSame([0, 0, 2, 0], [
            $intake->refresh()->created, $intake->updated, $intake->unchanged, $intake->rejected,
        ]);
        self::assertSame('=Papir', Account::query()->where('domain', 'sverkhult.example')->value('name'));
        $this->get(route('finder', ['on' => 'accounts']))->assertSee(route('finder.export', 'xlsx'));
        $this->get(route('contacts.export', ['xlsx']))->assertOk();
    }

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $lines
     */
    private function written(array $headings, array $lines, int $rows = 1000): string
    {
        $this->paths[] = $path = (string) tempnam(sys_get_temp_dir(), 'out');
        (new WorkbookFile($rows))->write($path, $headings, $lines);

        return $path;
    }

    /** @return list<string> its lines, as our own reader has them */
    private function read(string $path, string $sheet = 'Luftig'): array
    {
        $this->paths[] = $csv = (string) tempnam(sys_get_temp_dir(), 'csv');
        (new Workbook($path))->asCsv($sheet, $csv);

        return array_map(
            fn (string $line): string => str_replace(['"', ';'], ['', ','], $line),
            explode("\n", trim((string) file_get_contents($csv))),
        );
    }

    private function part(string $path, string $name): string
    {
        $zip = new ZipArchive;
        self::assertTrue($zip->open($path));

        return (string) $zip->getFromName($name);
    }
}
