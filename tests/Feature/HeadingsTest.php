<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\CsvRecord;
use App\Intake\Mapping;
use App\Intake\Reading\DateOrder;
use App\Intake\RowReaders;
use App\Models\Intake;
use App\Models\IntakeKind;
use Luftig\Core\Text\Fold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Which column of a file is what, by headings as files have them in nine languages. */
final class HeadingsTest extends TestCase
{
    /** @return array<string, array{IntakeKind, string, list<string>, array<int, string>}> */
    public static function files(): array
    {
        $accounts = IntakeKind::Accounts;
        $contacts = IntakeKind::Contacts;

        return [
            'accounts in English' => [
                $accounts, 'export.csv',
                ['Company Name', 'Website', 'Industry', 'Number of employees', 'Annual fee', 'Country', 'Postcode'],
                [0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 5 => 'country', 6 => 'postal_code'],
            ],
            'accounts in German' => [
                $accounts, 'liste.csv',
                ['Firma', 'Webseite', 'Branche', 'Mitarbeiterzahl', 'Umsatz', 'Währung', 'PLZ', 'Ort', 'Land', 'Werke'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 4 => 'revenue',
                    5 => 'revenue_currency', 6 => 'postal_code', 7 => 'city', 8 => 'country', 9 => 'sites',
                ],
            ],
            'accounts in Swedish' => [
                $accounts, 'lista.csv',
                ['Företagsnamn', 'Hemsida', 'Bransch', 'Antal anställda', 'Omsättning', 'Ort', 'Postnummer', 'Grundat'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 4 => 'revenue', 5 => 'city',
                    6 => 'postal_code', 7 => 'founded',
                ],
            ],
            'accounts in Danish' => [
                $accounts, 'firmaer.csv',
                ['Virksomhed', 'Hjemmeside', 'Ansatte', 'Omsætning', 'By', 'Land'],
                [0 => 'name', 1 => 'domain', 2 => 'headcount', 3 => 'revenue', 4 => 'city', 5 => 'country'],
            ],
            'accounts in Norwegian' => [
                $accounts, 'bedrifter.csv',
                ['Bedrift', 'Nettside', 'Bransje', 'Antall', 'Omsetning', 'Fylke'],
                [0 => 'name', 1 => 'domain', 2 => 'industry', 4 => 'revenue', 5 => 'region'],
            ],
            'accounts in Dutch' => [
                $accounts, 'bedrijven.csv',
                ['Bedrijfsnaam', 'URL', 'Medewerkers', 'Omzet', 'Provincie', 'Vestigingen', 'Groei'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'headcount', 3 => 'revenue', 4 => 'region', 5 => 'sites',
                    6 => 'growth',
                ],
            ],
            'accounts in Polish' => [
                $accounts, 'firmy.csv',
                ['Nazwa firmy', 'Strona WWW', 'Branża', 'Liczba pracowników', 'Przychody', 'Miasto', 'Kod pocztowy'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 4 => 'revenue', 5 => 'city',
                    6 => 'postal_code',
                ],
            ],
            'accounts in Finnish' => [
                $accounts, 'yritykset.csv',
                ['Yritys', 'Verkkosivu', 'Toimiala', 'Henkilöstö', 'Liikevaihto', 'Kaupunki', 'Postinumero'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 4 => 'revenue', 5 => 'city',
                    6 => 'postal_code',
                ],
            ],
            'accounts in French' => [
                $accounts, 'societes.csv',
                ['Société', 'Site web', 'Secteur', 'Effectif', "Chiffre d'affaires", 'Ville', 'Code postal', 'Pays'],
                [
                    0 => 'name', 1 => 'domain', 2 => 'industry', 3 => 'headcount', 4 => 'revenue', 5 => 'city',
                    6 => 'postal_code', 7 => 'country',
                ],
            ],
            'contacts in English' => [
                $contacts, 'people.csv',
                ['First Name', 'Surname', 'Job Title', 'E-mail', 'Phone', 'Company domain', 'Since'],
                [
                    0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone', 5 => 'domain',
                    6 => 'since',
                ],
            ],
            'contacts in German' => [
                $contacts, 'kontakte.csv',
                ['Vorname', 'Nachname', 'Funktion', 'E-Mail-Adresse', 'Telefon', 'Zentrale', 'Webseite'],
                [
                    0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone', 5 => 'switchboard',
                    6 => 'domain',
                ],
            ],
            'contacts in Swedish' => [
                $contacts, 'kontakter.csv', ['Förnamn', 'Efternamn', 'Befattning', 'E-post', 'Mobil', 'Växel'],
                [
                    0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone',
                    5 => 'switchboard',
                ],
            ],
            'contacts in Danish and Norwegian' => [
                $contacts, 'kontakter.csv', ['Fornavn', 'Etternavn', 'Stilling', 'Epost', 'Hjemmeside'],
                [0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'domain'],
            ],
            'contacts in Dutch' => [
                $contacts, 'contacten.csv', ['Voornaam', 'Achternaam', 'Functie', 'E-mail', 'Telefoon'],
                [0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone'],
            ],
            'contacts in Polish' => [
                $contacts, 'kontakty.csv', ['Imię', 'Nazwisko', 'Stanowisko', 'E-mail', 'Komórka', 'Strona'],
                [0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone', 5 => 'domain'],
            ],
            'contacts in Finnish' => [
                $contacts, 'henkilot.csv', ['Etunimi', 'Sukunimi', 'Titteli', 'Sähköposti', 'Puhelin'],
                [0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'phone'],
            ],
            'contacts in French' => [
                $contacts, 'contacts.csv', ['Prénom', 'Nom', 'Poste', 'Courriel', 'Pays'],
                [0 => 'first_name', 1 => 'last_name', 2 => 'title', 3 => 'email', 4 => 'country'],
            ],
            'a whole name' => [
                $contacts, 'x.csv', ['Ansprechpartner', 'Mail'], [0 => 'name', 1 => 'email'],
            ],
            'signals' => [
                IntakeKind::Signals, 'x.csv', ['Domain', 'Signal', 'Datum', 'Headline', 'Zitat', 'Quelle'],
                [0 => 'domain', 1 => 'kind', 2 => 'date', 3 => 'title', 4 => 'quote', 5 => 'source'],
            ],
        ];
    }

    /**
     * @param  list<string>  $headings
     * @param  array<int, string>  $columns
     */
    #[DataProvider('files')]
    public function test_headings_are_known(IntakeKind $kind, string $file, array $headings, array $columns): void
    {
        self::assertSame($kind, Mapping::kind($headings, $file));
        self::assertSame($columns, Mapping::guess($kind, $headings));
    }

    public function test_every_heading_that_is_promised_finds_its_column_and_no_other(): void
    {
        foreach (IntakeKind::cases() as $kind) {
            $of = [];
            foreach (RowReaders::columns($kind) as $field => $column) {
                foreach ($column->names as $name) {
                    self::assertSame(implode(' ', Fold::words($name)), $name, 'names are folded');
                    $of[$name][] = $field;
                    self::assertContains(
                        Mapping::guess($kind, [mb_strtoupper($name)])[0] ?? null,
                        $of[$name],
                        "$name of {$kind->value}",
                    );
                }
            }
            self::assertSame(
                [],
                array_keys(array_filter($of, fn (array $fields): bool => count(array_unique($fields)) > 1)),
                "a heading of {$kind->value} means one thing",
            );
        }
    }

    /** @param  list<string>  $days */
    #[TestWith([['1/4/2026', '2/3/2026'], 'open'])]
    #[TestWith([['1/4/2026', '11/23/2026'], 'month'])]
    #[TestWith([['1/4/2026', '23-11-26'], 'day'])]
    #[TestWith([['1/4/2026', '11/23/2026', '23/11/2026'], 'open'])]
    #[TestWith([['11/23/2026', '23/11/2026'], 'day'])]
    #[TestWith([['17.11.2026', 'recently', '5/5/2026', '45352'], null])]
    public function test_a_column_tells_in_which_order_its_days_are(array $days, ?string $order): void
    {
        $records = array_map(fn (string $day): CsvRecord => new CsvRecord(['x', $day], $day, 1, 0), $days);
        self::assertSame($order === null ? [] : [1 => $order], DateOrder::ofColumns($records));
    }

    /**
     * @return array<string, array{0: IntakeKind, 1: array<int, string>, 2: string|null,
     *     3?: array<string, mixed>, 4?: array<string, mixed>}>
     */
    public static function mappings(): array
    {
        return [
            'whole' => [IntakeKind::Accounts, ['domain', 'name'], null],
            'accounts that are there need no name' => [IntakeKind::Accounts, ['domain', 'headcount'], null],
            'accounts without a website wait' => [IntakeKind::Accounts, ['name'], null],
            'neither domain nor name' => [
                IntakeKind::Accounts, ['headcount'], 'No column is chosen for: domain or web address.',
            ],
            'an address tells the domain' => [IntakeKind::Contacts, ['email', 'name'], null],
            'twice the same' => [
                IntakeKind::Accounts, ['domain', 'name', 'name'], 'Two columns are chosen for: name.',
            ],
            'several of ones own' => [IntakeKind::Accounts, ['domain', 'name', 'extras', 'extras'], null],
            'a signal without a day' => [
                IntakeKind::Signals, ['domain', 'kind', 'title'], 'No column is chosen for: day.',
            ],
            'days that may be read either way' => [
                IntakeKind::Signals, ['domain', 'kind', 'date', 'title'],
                'Say whether days are written day first or month first under: When.', ['dates' => [2 => 'open']],
            ],
            'days of which somebody said it' => [
                IntakeKind::Signals, ['domain', 'kind', 'date', 'title'], null, ['dates' => [2 => 'open']],
                ['dates' => [2 => 'month']],
            ],
            'days that tell it themselves' => [
                IntakeKind::Signals, ['domain', 'kind', 'date', 'title'], null, ['dates' => [2 => 'month']],
            ],
            'what looks like days and is none' => [
                IntakeKind::Signals, ['domain', 'kind', 'date', 'title'], null, ['dates' => [3 => 'open']],
            ],
            'a signal without anything' => [
                IntakeKind::Signals, [],
                'No column is chosen for: domain of the account, kind, day, what happened.',
            ],
        ];
    }

    /**
     * @param  array<int, string>  $mapping
     * @param  array<string, mixed>  $format
     * @param  array<string, mixed>  $answers
     */
    #[DataProvider('mappings')]
    public function test_what_keeps_a_mapping_from_being_used_is_said(
        IntakeKind $kind,
        array $mapping,
        ?string $says,
        array $format = [],
        array $answers = [],
    ): void {
        $intake = new Intake([
            'kind' => $kind, 'mapping' => $mapping, 'answers' => $answers,
            'format' => $format + ['columns' => ['Web', 'Who', 'When', 'What']],
        ]);
        self::assertSame($says, Mapping::problem($intake));
    }

    public function test_thirty_headings_are_known_of_each_column_of_accounts_and_contacts(): void
    {
        foreach ([IntakeKind::Accounts, IntakeKind::Contacts] as $kind) {
            foreach (RowReaders::columns($kind) as $field => $column) {
                if ($field !== 'extras') {
                    self::assertGreaterThanOrEqual(30, count($column->names), "$field of {$kind->value}");
                }
            }
        }
    }

    public function test_cells_are_trimmed_and_what_is_blank_is_absent(): void
    {
        self::assertSame(
            ['domain' => 'a.example', 'extras:Ovens' => '4'],
            Mapping::apply(
                [0 => 'domain', 1 => 'name', 2 => 'extras', 5 => 'city'],
                ['Domain', 'Name', 'Ovens', 'Notes'],
                [' a.example ', "\t", '4', 'left out'],
            ),
        );
    }
}
