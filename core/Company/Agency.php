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
        foreach (
            ['name' => [$name, self::NAME_WORDS], 'wording' => [$text, self::WORDING]] as $where => [$line, $phrases]
        ) {
            $line = Fold::line($line);
            foreach ($phrases as $phrase) {
                if (str_contains($line, " $phrase ")) {
                    return "agency, by its $where: “{$phrase}”";
                }
            }
        }

        return null;
    }
}
