<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\ReceiveFile;
use App\Intake\UnreadableFile;
use App\Intake\Workbook\Cell;
use App\Intake\Workbook\Workbook;
use App\Models\Intake;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;
use ZipArchive;

/** Cells of workbooks as they are shown there, and which of their sheets is taken. */
final class WorkbookTest extends TestCase
{
    private const STYLES = '<styleSheet><numFmts><numFmt numFmtId="164" formatCode="dd\.mm\.yyyy"/>'
        .'<numFmt numFmtId="165" formatCode="#,##0 &quot;days&quot;"/><numFmt numFmtId="166" formatCode="00000"/>'
        .'<numFmt numFmtId="167" formatCode="[Red]0.0%"/></numFmts><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/>'
        .'<xf numFmtId="164"/><xf numFmtId="165"/><xf numFmtId="166"/><xf numFmtId="167"/><xf numFmtId="22"/>'
        .'</cellXfs></styleSheet>';

    private const STRINGS = '<sst><si><t>Glas</t></si>'
        .'<si><r><t>two </t></r><r><t>runs</t></r><rPh><t>spoken</t></rPh></si></sst>';

    /** @return array<string, array{string, string}> cell, how it is read */
    public static function cells(): array
    {
        return [
            'a shared text' => ['<c t="s"><v>0</v></c>', 'Glas'],
            'one of several runs' => ['<c t="s"><v>1</v></c>', 'two runs'],
            'a text of its own' => ['<c t="inlineStr"><is><t>Å &amp; Ö</t></is></c>', 'Å & Ö'],
            'several lines' => ["<c t=\"inlineStr\"><is><t>030 1\n  0171 2</t></is></c>", '030 1 / 0171 2'],
            'a number' => ['<c><v>180</v></c>', '180'],
            'what reckoning left behind' => ['<c><v>0.30000000000000004</v></c>', '0.3'],
            'a power of ten' => ['<c><v>1.62E7</v></c>', '16200000'],
            'a small one' => ['<c><v>1.5E-7</v></c>', '0.0000001500'],
            'a number that is a text' => ['<c t="inlineStr"><is><t>4.6E+10</t></is></c>', '4.6E+10'],
            'a day' => ['<c s="1"><v>46057</v></c>', '2026-02-04'],
            'a day in a form of its own' => ['<c s="2"><v>46057</v></c>', '2026-02-04'],
            'an hour' => ['<c s="6"><v>46057.375</v></c>', '2026-02-04 09:00:00'],
            'a word in the form makes no day' => ['<c s="3"><v>46057</v></c>', '46057'],
            'a postal code' => ['<c s="4"><v>4109</v></c>', '04109'],
            'a share' => ['<c s="5"><v>0.125</v></c>', '12.5 %'],
            'true' => ['<c t="b"><v>1</v></c>', 'TRUE'],
            'false' => ['<c t="b"><v>0</v></c>', 'FALSE'],
            'an error' => ['<c t="e"><v>#N/A</v></c>', '#N/A'],
            'what a formula gave' => ['<c><f>SUM(1,2)</f><v>3</v></c>', '3'],
            'a text that a formula gave' => ['<c t="str"><f>A1</f><v>Glas</v></c>', 'Glas'],
            'nothing' => ['<c s="1"/>', ''],
            'an empty value' => ['<c><v></v></c>', ''],
        ];
    }

    #[DataProvider('cells')]
    public function test_a_cell_is_read_as_it_is_shown(string $cell, string $text): void
    {
        self::assertSame([[$text, 'end']], $this->rows("<row>$cell<c t=\"str\"><v>end</v></c></row>"));
    }

    public function test_days_may_be_counted_from_1904(): void
    {
        self::assertSame(
            [['2026-02-04']],
            $this->rows('<row><c s="1"><v>44595</v></c></row>', '<workbookPr date1904="1"/>'),
        );
    }

    public function test_rows_and_cells_that_are_left_out_are_empty(): void
    {
        self::assertSame(
            [[''], ['a', '', 'c'], [''], ['', 'b', '']],
            $this->rows('<row r="2"><c r="A2"><v>a</v></c><c r="C2"><v>c</v></c></row>'
                .'<row r="4"><c r="B4"><v>b</v></c></row>'),
        );
    }

    #[TestWith(['A1', 0])]
    #[TestWith(['Z9', 25])]
    #[TestWith(['AA10', 26])]
    #[TestWith(['XFD1', 16_383])]
    #[TestWith(['', null])]
    #[TestWith(['a1', null])]
    public function test_letters_are_columns(string $reference, ?int $column): void
    {
        self::assertSame($column, Cell::column($reference));
    }

    public function test_the_sheet_with_headings_is_taken_and_another_can_be_chosen(): void
    {
        $path = $this->workbook([
            'Cover' => '<row><c t="str"><v>Only for us</v></c></row>',
            'Firms' => '<row><c t="str"><v>Firma</v></c><c t="str"><v>Webseite</v></c></row>'
                .'<row><c t="str"><v>A</v></c><c t="str"><v>a.example</v></c></row>',
            'Old' => '<row><c t="str"><v>Name</v></c><c t="str"><v>Domain</v></c></row>'
                .'<row><c t="str"><v>B</v></c><c t="str"><v>b.example</v></c></row>',
        ]);
        $files = fn (): array => glob(config('luftig.intakes').'/*') ?: [];
        $before = $files();
        $intake = ReceiveFile::file($path, 'lists.xlsx', $this->rep);
        self::assertSame(['Firms', ['Cover', 'Firms', 'Old']], [$intake->format['sheet'], $intake->format['sheets']]);

        $this->actingAs($this->rep)
            ->patch(route('intake.update', $intake), ['kind' => 'accounts', 'sheet' => 'Nowhere'])
            ->assertSessionHasErrors('sheet');
        $this->patch(route('intake.update', $intake), ['kind' => 'accounts', 'sheet' => 'Cover'])
            ->assertSessionHasErrors('sheet');
        self::assertSame('Firms', Intake::query()->sole()->format['sheet'], 'it stays as it is');
        $this->patch(route('intake.update', $intake), ['kind' => 'accounts', 'sheet' => 'Old'])->assertRedirect();
        $other = Intake::query()->sole();
        self::assertSame(
            ['Old', ['Name', 'Domain'], $this->rep->id],
            [$other->format['sheet'], $other->format['columns'], $other->user_id],
        );
        $this->delete(route('intake.destroy', $other))->assertRedirect();
        self::assertSame($before, $files(), 'nothing is left');
    }

    public function test_an_archive_that_is_no_workbook_is_refused(): void
    {
        $path = $this->path();
        $archive = new ZipArchive;
        $archive->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $archive->addFromString('notes.txt', 'Nothing to see.');
        $archive->close();
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage('an archive');
        new Workbook($path);
    }

    /** @return list<list<string>> */
    private function rows(string $rows, string $about = ''): array
    {
        $to = $this->path();
        (new Workbook($this->workbook(['One' => $rows], $about)))->asCsv('One', $to);

        return array_map(
            fn (string $line): array => array_map(strval(...), str_getcsv($line, ';', '"', '')),
            explode("\n", rtrim((string) file_get_contents($to), "\n")),
        );
    }

    /** @param  array<string, string>  $sheets  name → rows */
    private function workbook(array $sheets, string $about = ''): string
    {
        $path = $this->path();
        $archive = new ZipArchive;
        $archive->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $list = $relations = '';
        foreach (array_keys($sheets) as $at => $name) {
            $list .= "<sheet name=\"$name\" r:id=\"r$at\"/>";
            $relations .= "<Relationship Id=\"r$at\" Target=\"worksheets/$at.xml\"/>";
            $archive->addFromString(
                "xl/worksheets/$at.xml",
                "<worksheet><sheetData>{$sheets[$name]}</sheetData></worksheet>",
            );
        }
        $archive->addFromString(
            'xl/workbook.xml',
            "<workbook xmlns:r=\"urn:r\">$about<sheets>$list</sheets></workbook>",
        );
        $archive->addFromString('xl/_rels/workbook.xml.rels', "<Relationships>$relations</Relationships>");
        $archive->addFromString('xl/styles.xml', self::STYLES);
        $archive->addFromString('xl/sharedStrings.xml', self::STRINGS);
        $archive->close();

        return $path;
    }

    private function path(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'workbook');
        $this->beforeApplicationDestroyed(fn (): bool => @unlink($path));

        return $path;
    }
}
