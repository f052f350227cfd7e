<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\IntakeKind;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Ten thousand rows as carelessly kept lists have them, brought twice: the second time changes nothing. */
final class MessTest extends TestCase
{
    use HasCities;

    private const ACCOUNTS = 1_600;

    private const CONTACTS = 2_400;

    /** What may stand in a cell of a column, one as likely as the other. */
    private const CELLS = [
        'name' => [
            'Glasverk Nord', 'Papier Süd GmbH', 'Bäckerei “Ost”', "Hal\u{a0}West", 'KA', "Tab\tund Bruch", 'Å & Ö AB',
        ],
        'headcount' => ['12', '1 250', '18 MA', 'ca. 40', '10–49', 'viele', '', 'n/a', '-3', '4,6E+10', '1.000.000'],
        'growth' => ['5 %', '0,05', '12', 'stabil', '', '-4,5 %', '?'],
        'revenue' => ['12 Mio', 'EUR 450 TEUR', '3,5 MSEK', '12 Mio kr', 'auf Anfrage', '', '1.234.567,89', '$5m'],
        'country' => ['D', 'Sverige', 'Danmark', 'Atlantis', '', 'NL', 'okänd'],
        'city' => ['Ulm', 'Malmö', 'Hobro', 'Ulm', '', '–'],
        'founded' => ['1961', 'seit 1980', '61', '', '19. Jahrhundert'],
        'industry' => ['Glas', 'Druckerei', 'glass; paper', 'Zauberei', ''],
        'technologies' => ['Tryklog', 'Tryklog; Vedliko Plan', 'Vedliko Plan, Tryklog', ''],
        'other sites' => ['Aalborg', 'Skive; Hobro', 'Malmö (Sweden)', '', ''],
        'first name' => ['Ida', 'Jörg', 'Anna Maria', 'A.', 'Per'],
        'last name' => ['Lie', 'Müller', 'Mueller', 'van Dam', 'Lie-Askov'],
        'title' => ['Head of Maintenance', 'Betriebsleiter', '', 'Geschäftsführerin', 'Chief of nothing'],
        'phone' => ['+46 31 390 06 00', '031/390 06 00; 070-174 06 05', 'auf Anfrage', '', '4,9E+11'],
        'email' => ['praxis@', 'info@', '%s@', '%s@', 'a.lie@', 'haus.drei@', '', 'kaputt', '%s@'],
        'email state' => ['gültig', 'bounced', '', 'lila', 'catch-all'],
        'since' => ['3/2024', '17.11.2025', 'seit 2019', '31.02.2024', '', '45352', 'demnächst'],
    ];

    private Randomizer $chance;

    public function test_what_was_brought_once_brings_nothing_new(): void
    {
        $this->chance = new Randomizer(new Mt19937(20261127));
        $files = [
            [IntakeKind::Accounts, $this->accounts()], [IntakeKind::Contacts, $this->contacts()],
        ];
        $stored = null;
        foreach ([1, 2] as $turn) {
            foreach ($files as [$kind, $text]) {
                $intake = $this->bring($kind, $text);
                $all = $intake->created + $intake->updated + $intake->unchanged + $intake->waiting + $intake->rejected;
                self::assertSame($intake->rows, $all, 'every row is one of these');
                self::assertGreaterThan(400, $intake->created * (2 - $turn) + $intake->unchanged * ($turn - 1));
                if ($turn === 2) {
                    $changes = DB::table('intake_changes')->where('intake_id', $intake->id)->limit(3)->get()->toJson();
                    self::assertSame([0, 0], [$intake->created, $intake->updated], "{$kind->value}: $changes");
                }
            }
            $stored ??= $this->stored();
        }
        self::assertSame($stored, $this->stored());
    }

    private function accounts(): string
    {
        $columns = [
            'name', 'headcount', 'growth', 'revenue', 'country', 'city', 'founded', 'industry', 'technologies',
            'other sites',
        ];
        $rows = ['domain;'.implode(';', $columns)];
        for ($n = 0; $n < self::ACCOUNTS; $n++) {
            // Of some domains there are several rows, and some have none.
            $domain = ['firm'.$this->chance->getInt(1, 3_000).'.example', '', 'k. A.', 'gmail.com'][
                max(0, $this->chance->getInt(-40, 3))
            ];
            $cells = array_map($this->cell(...), $columns);
            $cells[0] .= ' '.$this->chance->getInt(1, 2_000);
            $rows[] = $this->row([$domain, ...$cells]);
        }

        return implode("\n", $rows)."\n";
    }

    private function contacts(): string
    {
        $columns = ['first name', 'last name', 'title', 'phone', 'email state', 'since', 'city'];
        $rows = ['domain;email;'.implode(';', $columns)];
        for ($n = 0; $n < self::CONTACTS; $n++) {
            $domain = 'firm'.$this->chance->getInt(1, 3_200).'.example';
            $box = sprintf($this->cell('email'), 'p'.$this->chance->getInt(1, 4_000));
            $email = str_ends_with($box, '@') ? $box.$domain : $box;
            $rows[] = $this->row([$domain, $email, ...array_map($this->cell(...), $columns)]);
        }

        return implode("\n", $rows)."\n";
    }

    private function cell(string $column): string
    {
        return self::CELLS[$column][$this->chance->getInt(0, count(self::CELLS[$column]) - 1)];
    }

    /** @param  list<string>  $cells */
    private function row(array $cells): string
    {
        $row = implode(';', array_map(
            fn (string $cell): string => preg_match('/[;\n\t]/', $cell) === 1 ? "\"$cell\"" : $cell,
            $cells,
        ));

        return match ($this->chance->getInt(0, 99)) {
            0 => "$row;one;more",
            1 => substr($row, 0, (int) strrpos($row, ';')),
            2 => $row."\x00",
            3 => "\"$row",
            default => $row,
        };
    }

    /** @return array<string, string> what lies in the base, but for when it was entered */
    private function stored(): array
    {
        $stored = [];
        foreach (
            [
                'accounts', 'places', 'account_industry', 'account_technology', 'contacts', 'channels', 'positions',
                'doubles', 'signals',
            ] as $table
        ) {
            $rows = array_map(
                fn (object $row): array => array_diff_key(
                    (array) $row,
                    ['id' => 0, 'updated_at' => 0, 'created_at' => 0, 'stale' => 0, 'seen_at' => 0],
                ),
                DB::table($table)->orderBy(DB::raw('1'))->orderBy(DB::raw('2'))->get()->all(),
            );
            $stored[$table] = count($rows).' '.sha1((string) json_encode($rows));
        }

        return $stored;
    }
}
