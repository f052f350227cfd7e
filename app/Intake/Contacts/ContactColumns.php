<?php

declare(strict_types=1);

namespace App\Intake\Contacts;

use App\Intake\Accounts\AccountColumns;
use App\Support\FileColumn;

/** What a file of contacts can hold. */
final class ContactColumns
{
    /** @return array<string, FileColumn> by field */
    public static function all(): array
    {
        $accounts = AccountColumns::all();

        return [
            'domain' => new FileColumn(
                'Domain of the account',
                [...$accounts['domain']->names, 'company domain', 'account domain', 'firmendomain'],
                'tunhede.example',
                true,
            ),
            'first_name' => new FileColumn(
                'First name',
                [
                    'first name', 'firstname', 'given name', 'vorname', 'fornamn', 'fornavn', 'voornaam', 'imie',
                    'etunimi', 'prenom',
                ],
                'Pernille',
            ),
            'last_name' => new FileColumn(
                'Last name',
                [
                    'last name', 'lastname', 'surname', 'family name', 'nachname', 'efternamn', 'efternavn',
                    'etternavn', 'achternaam', 'nazwisko', 'sukunimi', 'nom',
                ],
                'Askov-Rye',
            ),
            'name' => new FileColumn(
                'Whole name',
                ['name', 'full name', 'contact', 'person', 'namn', 'navn', 'naam', 'kontaktperson', 'ansprechpartner'],
                '',
            ),
            'title' => new FileColumn(
                'Title',
                [
                    'title', 'job title', 'position', 'role', 'funktion', 'titel', 'tittel', 'stanowisko', 'stilling',
                    'functie', 'befattning', 'titteli', 'poste',
                ],
                'Head of Maintenance',
            ),
            'since' => new FileColumn(
                'In the position since',
                [
                    'in the position since', 'in position since', 'in the post since', 'in post since', 'since',
                    'start', 'started', 'seit', 'sedan', 'siden', 'sinds', 'od',
                ],
                '11/2026', isDay: true),
            'email' => new FileColumn(
                'E-mail address',
                [
                    'email', 'e mail', 'mail', 'email address', 'e mail address', 'e post', 'epost', 'e mail adresse',
                    'sahkoposti', 'courriel',
                ],
                'p.askov-rye@tunhede.example',
            ),
            'email_state' => new FileColumn(
                'State of the address',
                ['email state', 'email status', 'state', 'address state', 'e mail status'],
                'valid',
                choices: array_keys(ChannelReading::STATES),
            ),
            'phone' => new FileColumn(
                'Direct phone',
                [
                    'phone', 'direct phone', 'telephone', 'mobile', 'telefon', 'mobil', 'telefoon', 'direktwahl',
                    'puhelin', 'puh', 'komorka',
                ],
                '',
            ),
            'switchboard' => new FileColumn(
                'Switchboard',
                ['switchboard', 'main phone', 'company phone', 'zentrale', 'vaxel', 'centrala'],
                '',
            ),
            'profile' => new FileColumn(
                'Profile address',
                ['profile', 'profile url', 'profile address', 'social', 'profil', 'social profile'],
                'https://people.example/pernille-askov-rye',
            ),
            'active' => new FileColumn(
                'Active on social on',
                ['active', 'last active', 'social active', 'zuletzt aktiv', 'senast aktiv'],
                '', isDay: true),
            'asked' => new FileColumn(
                'Asked to be contacted by',
                ['asked', 'asked to be contacted', 'prefers', 'wunsch'],
                '',
            ),
            'city' => new FileColumn('City', $accounts['city']->names, 'Hobro'),
            'country' => new FileColumn('Country', $accounts['country']->names, 'Denmark'),
            'about' => new FileColumn('About', ['about', 'bio', 'summary', 'uber', 'om'], ''),
            'interests' => new FileColumn('Interests', ['interests', 'topics', 'interessen', 'intressen'], ''),
            'language' => new FileColumn(
                'Languages',
                ['languages', 'language', 'sprachen', 'sprak', 'sprog'],
                'Danish; German',
            ),
            'school' => new FileColumn(
                'Schools',
                ['schools', 'school', 'university', 'education', 'hochschule', 'skola', 'uddannelse'],
                '',
            ),
            'association' => new FileColumn(
                'Associations',
                ['associations', 'association', 'memberships', 'verband', 'vereine', 'forening', 'forbund'],
                '',
            ),
            'source' => new FileColumn(
                'Source',
                ['source', 'quelle', 'kalla', 'kilde', 'zrodlo', 'bron'],
                'trade register',
            ),
            'before' => new FileColumn(
                'Earlier positions',
                [
                    'earlier positions', 'earlier posts', 'before', 'past positions', 'past posts', 'previous',
                    'frueher', 'tidigare',
                ],
                'Shift Lead, Fjernlund Papir, 2019–2026',
            ),
        ];
    }
}
