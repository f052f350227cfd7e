<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\ReceiveFile;
use App\Intake\UnreadableFile;
use App\Intake\Workbook\Workbook;
use App\Models\Account;
use App\Models\IntakeKind;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use ZipArchive;

/** Sheets of OpenDocument, as free spreadsheets write them. */
final class OpenDocumentTest extends TestCase
{
    /** @return array<string, array{string, string}> cell, how it is read */
    public static function cells(): array
    {
        $of = fn (string $type, string $more, string $shown): string => "<table:table-cell office:value-type=\"$type\" "
            ."$more><text:p>$shown</text:p></table:table-cell>";

        return [
            'a text' => [$of('string', '', 'Å &amp; Ö'), 'Å & Ö'],
            'one of several parts' => [
                $of('string', '', 'two <text:span>runs<text:s text:c="2"/>and</text:span><text:tab/>more'),
                'two runs  and more',
            ],
            'several lines' => [
                '<table:table-cell office:value-type="string"><text:p>030 1</text:p><text:p>0171<text:line-break/>2'
                    .'</text:p></table:table-cell>', '030 1 / 0171 / 2',
            ],
            'without the remark about it' => [
                '<table:table-cell office:value-type="string"><office:annotation><dc:creator>I</dc:creator><text:p>'
                    .'ask!</text:p></office:annotation><text:p>Glas</text:p></table:table-cell>', 'Glas',
            ],
            'a number as it is, not as it is shown' => [$of('float', 'office:value="16200.5"', '16.200,50'), '16200.5'],
            'a postal code' => [$of('float', 'office:value="4109"', '04109'), '04109'],
            'a share' => [$of('percentage', 'office:value="0.125"', '13 %'), '12.5 %'],
            'money' => [$of('currency', 'office:value="2.5E6" office:currency="SEK"', '2,5 MSEK'), '2500000 SEK'],
            'money of no country' => [$of('currency', 'office:value="5"', '5'), '5'],
            'a day' => [$of('date', 'office:date-value="2026-02-04"', '04.02.26'), '2026-02-04'],
            'a day at midnight' => [$of('date', 'office:date-value="2026-02-04T00:00:00"', '4 Feb'), '2026-02-04'],
            'an hour' => [$of('date', 'office:date-value="2026-02-04T09:00:00.5"', 'x'), '2026-02-04 09:00:00'],
            'true' => [$of('boolean', 'office:boolean-value="true"', 'WAHR'), 'TRUE'],
            'false' => [$of('boolean', 'office:boolean-value="false"', 'FALSCH'), 'FALSE'],
            'an error' => [$of('string', 'calcext:value-type="error"', '#N/A'), '#N/A'],
            'nothing' => ['<table:table-cell/>', ''],
            'what another covers' => ['<table:covered-table-cell/>', ''],
        ];
    }

    #[DataProvider('cells')]
    public function test_a_cell_is_read_as_a_person_would_type_it(string $cell, string $text): void
    {
        self::assertSame([[$text, 'end']], $this->rows("<table:table-row>$cell{$this->cell('end')}</table:table-row>"));
    }

    public function test_what_is_written_once_stands_as_often_as_it_says_and_the_empty_end_is_none(): void
    {
        self::assertSame(
            [['a', 'b', 'b', '', 'c'], ['', '', '', '', ''], ['', '', '', '', ''], ['d', '', '', '', ''],
                ['d', '', '', '', '']],
            $this->rows('<table:table-header-rows><table:table-row>'.$this->cell('a')
                .$this->cell('b', 'table:number-columns-repeated="2"').'<table:table-cell/>'.$this->cell('c')
                .'<table:table-cell table:number-columns-repeated="16379"/></table:table-row></table:table-header-rows>'
                .'<table:table-row table:number-rows-repeated="2"><table:table-cell '
                .'table:number-columns-repeated="16384"/></table:table-row>'
                .'<table:table-row table:number-rows-repeated="2">'.$this->cell('d').'</table:table-row>'
                .'<table:table-row table:number-rows-repeated="1048571"><table:table-cell/></table:table-row>'),
        );
    }

    public function test_what_stands_far_to_the_right_is_too_much(): void
    {
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage('names 501 columns');
        $this->rows('<table:table-row><table:table-cell table:number-columns-repeated="500"/>'.$this->cell('x', '')
            .$this->cell('y').'</table:table-row>');
    }

    public function test_the_sheet_with_headings_comes_in_like_any_file(): void
    {
        $path = $this->document([
            'Cover' => '<table:table-row>'.$this->cell('Only for us').'</table:table-row>',
            'Firms' => '<table:table-row>'.$this->cell('Firma').$this->cell('Webseite').$this->cell('Mitarbeiter')
                .'</table:table-row><table:table-row>'.$this->cell('Glasverk').$this->cell('glasverk.example')
                .'<table:table-cell office:value-type="float" office:value="420"><text:p>420</text:p>'
                .'</table:table-cell></table:table-row>',
        ]);
        $intake = ReceiveFile::file($path, 'lists.ods', $this->rep, IntakeKind::Accounts);
        self::assertSame(['Firms', ['Cover', 'Firms']], [$intake->format['sheet'], $intake->format['sheets']]);
        $this->actingAs($this->rep)->post(route('intake.start', $intake), [
            'kind' => 'accounts', 'columns' => ['name', 'domain', 'headcount'],
        ])->assertSessionHasNoErrors();
        self::assertSame(
            ['Glasverk', 420], array_values(Account::query()->where('domain', 'glasverk.example')->sole()
                ->only('name', 'headcount')),
        );
    }

    public function test_one_that_is_cut_off_or_locked_is_refused_in_a_sentence(): void
    {
        $path = $this->document(['One' => '<table:table-row>'.$this->cell('x')]);
        $this->expectException(UnreadableFile::class);
        $this->expectExceptionMessage('Bring an XLSX, ODS or CSV file.');
        (new Workbook($path))->asCsv('One', $path);
    }

    private function cell(string $text, string $more = ''): string
    {
        return "<table:table-cell office:value-type=\"string\" $more><text:p>$text</text:p></table:table-cell>";
    }

    /** @return list<list<string>> */
    private function rows(string $rows): array
    {
        $to = (string) tempnam(sys_get_temp_dir(), 'rows');
        $this->beforeApplicationDestroyed(fn (): bool => @unlink($to));
        (new Workbook($this->document(['One' => $rows])))->asCsv('One', $to);

        return array_map(
            fn (string $line): array => array_pad(
                array_map(strval(...), str_getcsv($line, ';', '"', '')), $line === '' ? 5 : 0, '',
            ),
            explode("\n", rtrim((string) file_get_contents($to), "\n")),
        );
    }

    /** @param  array<string, string>  $sheets  name → rows */
    private function document(array $sheets): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'document');
        $this->beforeApplicationDestroyed(fn (): bool => @unlink($path));
        $tables = '';
        foreach ($sheets as $name => $rows) {
            $tables .= "<table:table table:name=\"$name\"><table:table-column/>$rows</table:table>";
        }
        $spaces = '';
        foreach (['office', 'table', 'text'] as $space) {
            $spaces .= " xmlns:$space=\"urn:oasis:names:tc:opendocument:xmlns:$space:1.0\"";
        }
        $archive = new ZipArchive;
        $archive->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $archive->addFromString('mimetype', 'application/vnd.oasis.opendocument.spreadsheet');
        $archive->addFromString('content.xml', "<office:document-content$spaces xmlns:dc=\"urn:dc\" "
            ."xmlns:calcext=\"urn:calcext\"><office:body><office:spreadsheet>$tables</office:spreadsheet></office:body>"
            .'</office:document-content>');
        $archive->close();

        return $path;
    }
}
