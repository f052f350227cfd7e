<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Person\Dictionary;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;
use Luftig\Core\Person\TitleReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rule 7, sentence by sentence; how well the reader does on many titles is measured in TitleAccuracyTest. */
final class TitleTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, string, 2?: string|null, 3?: int|null}> */
    public static function titles(): iterable
    {
        foreach ([
            ['Head of Maintenance (on leave)', 'head, maintenance'],
            ['Sales Manager (former)', 'former, manager, sales'],
            ['Retired', 'former'],
            ['Managing Director, former Head of Sales', 'chief, general management'],
            ['Personal assistant to CEO / Office Manager', 'assistant, specialist, administration'],
            ['CFO and Head of IT', 'chief, IT and finance'],
            ['Director', 'owner, general management', 'GB', 40],
            ['Director', 'director', 'GB', 140],
            ['Director', 'director', 'GB'],
            ['Direktør', 'chief, general management', 'DK'],
            ['Direktør for produktion', 'director, operations', 'DK'],
            ['Vice President, Nordic Bank', 'manager'],
            ['Vice President', 'vice president'],
            ['Assistant Plant Manager', 'manager, operations'],
            ['Stellvertretender Leiter Einkauf', 'head, procurement', 'DE'],
            ['Senior Principal Engineer II', 'specialist, engineering'],
            ['Key Account Manager', 'specialist, sales'],
            ['IT Operations Manager', 'manager, IT'],
            ['Head of Operations and Maintenance', 'head, operations and maintenance'],
            ['Glasproduktionsleiter', 'head, operations', 'DE'],
            ['Geschaeftsfuehrer', 'chief, general management', 'DE'],
            ['Leiter:in Instandhaltung (m/w/d)', 'head, maintenance', 'DE'],
            ['R&D', 'research'],
            ['Driftsdirektör', 'director, operations', 'FI'],
            ['CEO | Coffee lover | Helping plants save air', 'chief, general management'],
            ['Leiter Einkauf bei Vertrieb Nord', 'head, procurement', 'DE'],
            ['CEO and Board Member', 'chief, general management'],
            ['Synergist', 'cannot be read'],
            ['', 'cannot be read'],
        ] as $row) {
            yield implode(' ', array_map(strval(...), $row)) => $row;
        }
    }

    #[DataProvider('titles')]
    public function test_it_says(string $title, string $expected, ?string $country = null, ?int $headcount = null): void
    {
        self::assertSame($expected, TitleReader::standard()->read($title, $country, $headcount)->inWords());
    }

    public function test_case_accents_and_what_stands_around_change_nothing(): void
    {
        $reader = TitleReader::standard();
        $titles = Generators::elements(
            'Head of Maintenance',
            'Underhållschef',
            'Członek Zarządu',
            'Leiter Einkauf',
            'Directeur financier',
            'Tuotantopäällikkö',
        );
        $this->limitTo(60)->forAll(
            $titles,
            Generators::elements(mb_strtoupper(...), mb_strtolower(...), trim(...)),
            Generators::elements('', ' ', '  · ', ' – '),
        )->then(
            fn (string $title, callable $case, string $edge) => self::assertEquals($reader->read($title), $reader->read(
                $edge.$case($title).$edge,
            )),
        );
    }

    public function test_any_text_is_read_without_fail_and_packs_into_a_number(): void
    {
        $this->limitTo(200)->forAll(Generators::string())->then(function (string $text): void {
            $title = TitleReader::standard()->read($text);
            self::assertEquals($title, Title::unpacked($title->packed()));
        });
        $all = new Title(Status::Board, Seniority::Owner, (1 << 19) - 1);
        self::assertEquals($all, Title::unpacked($all->packed()));
        self::assertSame(0, Title::unknown()->packed());
    }

    public function test_a_dictionary_can_be_extended_and_names_its_mistakes(): void
    {
        $reader = TitleReader::of(
            ['en' => "head: head\nmaintenance: druckluft*, air", 'de' => "head: *wart\nmay end in: in"],
        );
        self::assertSame('head, maintenance', $reader->read('Druckluftwartin', 'DE')->inWords());

        $this->expectExceptionObject(Mistake::at('line 2', '“hed” is no seniority, function, status or mark.'));
        Dictionary::parse("head: head\nhed: lead");
    }
}
