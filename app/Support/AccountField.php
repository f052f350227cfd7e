<?php

declare(strict_types=1);

namespace App\Support;

use Luftig\Core\Search\Field;

/**
 * The facts of an account that are one value in one column of its table, each said once: files and their template read
 * it from here, and so do the Finder, exports, merging and the account's page. A new one is an entry here, with its
 * migration, and a case of the core's Search\Field where it can be searched by.
 */
final readonly class AccountField
{
    /**
     * @param  string  $column  of the table, and of files
     * @param  string  $label  on the account's page
     * @param  int  $most  the largest number, or so many characters
     * @param  string|null  $heading  in exports; null: it is not given out
     * @param  list<float|int|null>  $bounds  where one band of it ends that the Finder counts; open at both ends
     * @param  bool  $keepsWording  whether a column NAME_given holds what was written where it was not a plain number
     */
    private function __construct(
        public string $column,
        public FieldKind $kind,
        public string $label,
        public FileColumn $inFile,
        public int $most = 190,
        public ?string $heading = null,
        public ?Field $condition = null,
        public array $bounds = [],
        public bool $keepsWording = false,
    ) {
    }

    /** @return array<string, self> by column, in the order in which they are offered */
    public static function all(): array
    {
        static $all = null;

        return $all ??= array_column([...self::numbers(), ...self::texts()], null, 'column');
    }

    /** @return array<string, FileColumn> */
    public static function inFiles(): array
    {
        return array_map(fn (self $field): FileColumn => $field->inFile, self::all());
    }

    /** @return list<string> the columns of the table that they fill */
    public static function columns(): array
    {
        return array_merge(...array_values(array_map(
            fn (self $field): array => $field->keepsWording
                ? [$field->column, $field->column.'_given']
                : [$field->column],
            self::all(),
        )));
    }

    /** @return array<string, Field> by which can be searched, by column */
    public static function conditions(): array
    {
        return array_filter(array_map(fn (self $field): ?Field => $field->condition, self::all()));
    }

    /** @return list<float|int|null> */
    public static function boundsOf(Field $condition): array
    {
        $column = array_search($condition, self::conditions(), true);

        return $column === false ? [] : self::all()[$column]->bounds;
    }

    /** @return list<self> */
    private static function numbers(): array
    {
        return [
            new self(
                'headcount', FieldKind::Count, 'Headcount',
                new FileColumn(
                    'Headcount',
                    [
                        'headcount', 'heads', 'employees', 'number of employees', 'staff', 'size', 'mitarbeiter',
                        'mitarbeiterzahl', 'anstallda', 'antal anstallda', 'ansatte', 'antal ansatte', 'medewerkers',
                        'werknemers', 'pracownicy', 'liczba pracownikow', 'henkilosto', 'effectif',
                    ],
                    '420',
                ),
                most: 10_000_000,
                heading: 'headcount',
                condition: Field::Headcount,
                // The size classes of the EU, and above.
                bounds: [null, 9, 49, 249, 999, null],
                keepsWording: true,
            ),
            new self(
                'growth', FieldKind::Growth, 'Growth over a year',
                new FileColumn(
                    'Growth of headcount over a year',
                    ['growth', 'headcount growth', 'wachstum', 'tillvaxt', 'vaekst', 'groei', 'wzrost'],
                    '11 %',
                ),
                heading: 'growth over a year',
                condition: Field::Growth,
                bounds: [null, -.05, 0, .05, .2, null],
            ),
            new self(
                'sites', FieldKind::Count, 'Sites',
                new FileColumn(
                    'Number of sites',
                    [
                        'sites', 'number of sites', 'plants', 'locations', 'standorte', 'werke', 'anlaggningar',
                        'vestigingen', 'zaklady',
                    ],
                    '3',
                ),
                most: 65_535,
                heading: 'sites',
                condition: Field::Sites,
                bounds: [null, 1, 3, 10, null],
            ),
            new self(
                'founded', FieldKind::Year, 'Founded',
                new FileColumn(
                    'Founded in',
                    ['founded', 'founded in', 'year founded', 'grundungsjahr', 'gegrundet', 'grundat'],
                    '1961',
                ),
                heading: 'founded',
                condition: Field::Founded,
                bounds: [null, 1949, 1989, 2009, null],
            ),
        ];
    }

    /** @return list<self> */
    private static function texts(): array
    {
        return [
            new self(
                'keywords', FieldKind::Words, 'Keywords',
                new FileColumn(
                    'Keywords',
                    ['keywords', 'tags', 'stichworte', 'nyckelord', 'slowa kluczowe'],
                    'container glass; three shifts',
                ),
                most: 1000,
                heading: 'keywords',
            ),
            new self(
                'description', FieldKind::Text, 'Description',
                new FileColumn(
                    'Description',
                    [
                        'description', 'about', 'beschreibung', 'beskrivning', 'beskrivelse', 'omschrijving', 'opis',
                        'kuvaus',
                    ],
                    'Makes container glass on four lines.',
                ),
                most: 20_000,
                heading: 'description',
            ),
        ];
    }
}
