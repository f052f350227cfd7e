<?php

declare(strict_types=1);

namespace App\Intake\Accounts;

use App\Support\AccountField;
use App\Support\FileColumn;

/** What a file of accounts can hold: the fields that are one value, and those that are several or need reading. */
final class AccountColumns
{
    /** @return array<string, FileColumn> by field */
    public static function all(): array
    {
        return [
            'domain' => new FileColumn(
                'Domain or web address',
                [
                    'domain', 'web', 'website', 'web address', 'url', 'homepage', 'webseite', 'internet', 'webbplats',
                    'hemsida', 'hjemmeside', 'nettside', 'strona', 'strona www', 'verkkosivu', 'site web', 'www',
                ],
                'tunhede.example',
                true,
            ),
            'name' => new FileColumn(
                'Name',
                [
                    'name', 'company', 'company name', 'account', 'account name', 'firma', 'firmenname', 'unternehmen',
                    'foretag', 'foretagsnamn', 'bedrijf', 'bedrijfsnaam', 'virksomhed', 'bedrift', 'nazwa',
                    'nazwa firmy', 'yritys', 'entreprise', 'societe', 'namn', 'navn', 'naam',
                ],
                'Glasverk Tunhede',
                true,
            ),
            'industry' => new FileColumn(
                'Industry (label or ISIC; the main one first)',
                [
                    'industry', 'industries', 'sector', 'branche', 'bransch', 'industri', 'isic', 'nace', 'branza',
                    'toimiala', 'secteur', 'bransje',
                ],
                'glass',
            ),
            ...AccountField::inFiles(),
            'revenue' => new FileColumn(
                'Revenue',
                [
                    'revenue', 'turnover', 'sales', 'umsatz', 'omsattning', 'omsaetning', 'omsetning', 'omzet',
                    'przychody', 'liikevaihto', 'chiffre d affaires',
                ],
                'EUR 78 Mio',
            ),
            'revenue_currency' => new FileColumn(
                'Currency of the revenue',
                ['currency', 'revenue currency', 'wahrung', 'valuta', 'waluta', 'valuutta', 'devise'],
                'EUR',
            ),
            'country' => new FileColumn(
                'Country',
                ['country', 'land', 'kraj', 'maa', 'pays', 'country code'],
                'Denmark',
            ),
            'region' => new FileColumn(
                'Region',
                ['region', 'state', 'bundesland', 'lan', 'fylke', 'provincie', 'wojewodztwo', 'maakunta'],
                '',
            ),
            'city' => new FileColumn(
                'City',
                [
                    'city', 'town', 'place', 'ort', 'stadt', 'stad', 'by', 'miasto', 'kaupunki', 'ville', 'sitz',
                    'headquarters', 'location',
                ],
                'Hobro',
            ),
            'postal_code' => new FileColumn(
                'Postal code',
                [
                    'postal code', 'postcode', 'zip', 'zip code', 'plz', 'postleitzahl', 'postnummer', 'postnr',
                    'kod pocztowy', 'postinumero', 'code postal',
                ],
                '9500',
            ),
            'latitude' => new FileColumn('Latitude', ['latitude', 'lat', 'breitengrad'], ''),
            'longitude' => new FileColumn('Longitude', ['longitude', 'lon', 'lng', 'langengrad'], ''),
            'other_sites' => new FileColumn(
                'Cities of other sites',
                ['other sites', 'site cities', 'weitere standorte'],
                'Aalborg; Malmö (Sweden)',
            ),
            'technologies' => new FileColumn(
                'Technologies',
                [
                    'technologies', 'technology', 'tech', 'systems', 'software', 'tech stack', 'technologien', 'system',
                    'systeme', 'teknik',
                ],
                'Vedliko Plan; Tryklog',
            ),
            'parent' => new FileColumn(
                'Domain of the parent company',
                ['parent', 'parent domain', 'group', 'mutter', 'konzern', 'moderbolag'],
                '',
            ),
            'status' => new FileColumn(
                'Competitor or agency', ['status', 'type', 'role', 'typ'], '', choices: AccountReading::statuses(),
            ),
            'source' => new FileColumn(
                'Source',
                ['source', 'quelle', 'kalla', 'kilde', 'zrodlo', 'bron'],
                'trade register',
            ),
            'extras' => new FileColumn('Keep as a fact of our own', [], ''),
        ];
    }
}
