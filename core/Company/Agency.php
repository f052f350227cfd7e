<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;

/**
 * Whether a company finds people for others (rule 17): by its industry, by words of its name, or by how it speaks of
 * itself.
 */
final class Agency
{
    /** ISIC 78, employment activities. */
    private const DIVISION = '78';

    private const NAME_WORDS = [
        'recruiting', 'recruitment', 'recruiters', 'staffing', 'headhunting', 'headhunters', 'executive search',
        'temp agency',
        'personaldienst', 'personaldienstleistung', 'personaldienstleistungen', 'personalvermittlung',
        'personalberatung', 'zeitarbeit', 'arbeitnehmeruberlassung',
        'rekrytering', 'bemanning', 'rekruttering', 'vikarbureau', 'vikartjeneste', 'uitzendbureau', 'uitzendgroep',
        'detachering', 'werving', 'rekrutacja', 'agencja pracy', 'posrednictwo pracy', 'henkilostopalvelu',
        'henkilostopalvelut', 'rekrytointi', 'recrutement', 'interim travail',
    ];

    private const WORDING = [
        'our client is looking', 'our clients are looking', 'on behalf of our client', 'on behalf of our clients',
        'we place candidates', 'temporary staff for', 'hire and hire out staff',
        'im auftrag unseres kunden', 'im auftrag unserer kunden', 'fur unseren kunden suchen wir',
        'wir vermitteln fachkrafte', 'for var kunds rakning', 'for vara kunders rakning', 'vi hyr ut personal',
        'pa vegne af vores kunde', 'pa vegne av var kunde',
        'namens onze opdrachtgever', 'voor onze opdrachtgever zoeken', 'w imieniu naszego klienta',
        'dla naszego klienta poszukujemy', 'asiakkaamme puolesta', 'pour le compte de notre client',
    ];

    /** How a posting speaks of the company that seeks, where it is another than the one that advertises. */
    private const POSTING = [
        'our client', 'on behalf of', 'unser kunde', 'unseren kunden', 'unserem kunden', 'unseres kunden',
        'unser mandant', 'unseren mandanten', 'unseres mandanten', 'im kundenauftrag', 'var kund', 'vart kundforetag',
        'for var kunds', 'vores kunde', 'vores klient', 'var kunde', 'var oppdragsgiver', 'pa vegne af', 'pa vegne av',
        'onze opdrachtgever', 'onze klant zoekt', 'voor een opdrachtgever', 'naszego klienta', 'nasz klient',
        'dla klienta', 'asiakkaamme', 'asiakkaallemme', 'asiakasyrityksemme', 'notre client', 'pour un client',
    ];

    /** @return string|null what a posting is known by to be an agency's; null: it is none */
    public static function ofPosting(string $employer, string $text): ?string
    {
        return self::because($employer, [], $text) ?? self::phrase($text, self::POSTING, 'wording');
    }

    /**
     * @param  list<string>  $industries  ISIC codes, the main one first
     * @param  string  $text  description and keywords
     * @return string|null what it is known by; null: it is none
     */
    public static function because(string $name, array $industries, string $text): ?string
    {
        if (str_starts_with($industries[0] ?? '', self::DIVISION)) {
            return 'agency, by its industry';
        }

        return self::phrase($name, self::NAME_WORDS, 'name') ?? self::phrase($text, self::WORDING, 'wording');
    }

    /** @param  list<string>  $phrases */
    private static function phrase(string $text, array $phrases, string $where): ?string
    {
        $line = Fold::line($text);
        foreach ($phrases as $phrase) {
            if (str_contains($line, " $phrase ")) {
                return "agency, by its $where: “{$phrase}”";
            }
        }

        return null;
    }
}
