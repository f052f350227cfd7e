<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

use Luftig\Core\Text\Fold;

/**
 * Reads titles in nine languages (rule 7): what a title says of status, seniority and functions.
 *
 * A title is cut into parts; each part is looked up in the dictionary of the language that understands most of the
 * title, and English beside it. Of several positions the highest rank counts and the functions of all; what is former
 * counts only where nothing current is named. An assistant to a person or to the management is a specialist in
 * administration.
 */
final class TitleReader
{
    private const LANGUAGES = ['en', 'de', 'fr', 'nl', 'sv', 'da', 'no', 'fi', 'pl'];

    private const SPOKEN = [
        'DE' => ['de'], 'AT' => ['de'], 'CH' => ['de', 'fr'], 'LI' => ['de'], 'LU' => ['fr', 'de'],
        'BE' => ['nl', 'fr'], 'NL' => ['nl'], 'FR' => ['fr'],
        'SE' => ['sv'], 'NO' => ['no'], 'DK' => ['da'], 'FI' => ['fi', 'sv'], 'PL' => ['pl'],
    ];

    /** Where a plain director of a small company is usually its owner. */
    private const DIRECTORS_OWN = ['GB', 'IE'];

    private const SMALL = 100;

    private const CUT = '~\s[-–—]\s|[,;/|·•()\[\]]|\s*[–—]\s*~u';

    private const JOINED = '~\s*(?:(?<=\s)&|&(?=\s)|(?<=\p{L}{3})&)\s*|\s+\+\s+~u';

    /** @param  array<string, Dictionary>  $dictionaries by language */
    private function __construct(private readonly array $dictionaries)
    {
    }

    /** With the dictionaries of this folder. */
    public static function standard(): self
    {
        static $reader = null;

        return $reader ??= self::of(array_combine(self::LANGUAGES, array_map(
            static fn (string $language): string => (string) file_get_contents(__DIR__."/data/$language.txt"),
            self::LANGUAGES,
        )));
    }

    /** @param  array<string, string>  $texts  language → dictionary; `en` counts beside each of the others */
    public static function of(array $texts): self
    {
        $english = Dictionary::parse($texts['en'] ?? '');

        return new self(['en' => $english] + array_map(
            static fn (string $text): Dictionary => Dictionary::parse($text, $english),
            array_diff_key($texts, ['en' => 0]),
        ));
    }

    /**
     * @param  string|null  $country  ISO 3166-1 alpha-2, of the account
     * @param  int|null  $headcount  of the account
     */
    public function read(string $title, ?string $country = null, ?int $headcount = null): Title
    {
        $clauses = self::clauses($title);
        $best = null;
        $most = -1;
        foreach ($this->order($country) as $language) {
            $reading = new TitleReading($this->dictionaries[$language], $clauses);
            if ($reading->letters > $most) {
                $best = $reading;
                $most = $reading->letters;
                if ($reading->isWhole()) {
                    break;
                }
            }
        }
        $read = $best === null ? Title::unknown() : $best->title();
        $words = array_merge([], ...array_merge([], ...$clauses));
        if ($read->seniority === Seniority::VicePresident && preg_grep('/^bank/', $words) !== []) {
            return new Title($read->status, Seniority::Manager, $read->functions);
        }
        if (
            $read->seniority === Seniority::Director
            && in_array($country, self::DIRECTORS_OWN, true)
            && $headcount !== null
            && $headcount < self::SMALL
            && array_diff($words, ['company', 'director']) === []
        ) {
            return new Title($read->status, Seniority::Owner, BusinessFunction::GeneralManagement->bit());
        }

        return $read;
    }

    /** @return list<list<list<string>>> clauses of parts of folded words */
    private static function clauses(string $title): array
    {
        $title = mb_scrub($title);
        // (m/w/d) and Leiter:in say whom an opening addresses, and nothing of the position.
        $title = (string) preg_replace(
            [
                '~\(?\b[mwfdxhi](?:\s?/\s?[mwfdxhi]){1,2}\b\)?~iu',
                '~(\p{L})(?:[*:_/]|\()(?:in|innen)\)?(?!\p{L})~u',
                '~@~',
            ],
            ['', '$1', ' at '],
            $title,
        );
        $clauses = [];
        foreach (preg_split(self::CUT, $title) ?: [] as $clause) {
            $parts = array_values(array_filter(
                array_map(Fold::words(...), preg_split(self::JOINED, $clause) ?: []),
                static fn (array $words): bool => $words !== [],
            ));
            if ($parts !== []) {
                $clauses[] = $parts;
            }
        }

        return $clauses;
    }

    /** @return list<string> languages, the likeliest first */
    private function order(?string $country): array
    {
        $languages = array_keys($this->dictionaries);

        return array_values(
            array_intersect(array_unique([...self::SPOKEN[$country ?? ''] ?? [], ...$languages]), $languages),
        );
    }
}
