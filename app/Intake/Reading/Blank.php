<?php

declare(strict_types=1);

namespace App\Intake\Reading;

/** What people write where they have nothing to say. */
final class Blank
{
    private const SHORT = 24;

    private const REMEMBERED = 20_000;

    /** Without points, spaces and slashes, in small letters. */
    private const WORDS = [
        'na', 'nn', 'none', 'null', 'nil', 'unknown', 'notknown', 'notavailable', 'notapplicable', 'notgiven', 'tbd',
        'tbc', 'ka', 'keineangabe', 'keineangaben', 'ohneangabe', 'unbekannt', 'nichtbekannt', 'entfällt', 'so',
        'nvt', 'onbekend', 'geenopgave', 'nietbekend', 'niettoepasselijk', 'okänd', 'okänt', 'saknas', 'uppgiftsaknas',
        'ukjent', 'ukendt', 'ikkeoplyst', 'ikkeoppgitt', 'ikkekendt', 'ikkekjent', 'ejkänt', 'bd', 'brak', 'brakdanych',
        'brakinformacji', 'nieznany', 'nieznana', 'nieznane', 'niedotyczy', 'nd', 'tuntematon', 'eitiedossa',
        'eitietoa', 'eitiedetä', 'inconnu', 'inconnue', 'nonrenseigné', 'nb', 'noncommuniqué', 'nc', 'nr', 'sansobjet',
        'keine', 'keiner', 'geen', 'inga', 'ingen', 'aucun', 'aucune', 'eiole', '#nv', '#n', '#na', '#ref!', '#div0!',
        '#wert!', '#value!', '#name', '#waarde!', '#värde!', '#arvo!', '#valeur!', '#bezug!', '#bezug',
        '#zahl!', '#num!',
        'neuvedeno', 'neznámý', 'neznámé', 'teadmata', 'nav', 'nezināms', 'nežinoma',
    ];

    /** Somebody may be called So, and a house KA. */
    public static function isNoName(string $text): bool
    {
        return self::is($text) && preg_match('/^\p{L}{2,3}$/u', trim($text)) !== 1;
    }

    public static function is(string $text): bool
    {
        // No word for nothing begins with a digit; and what is short stands in a column again and again.
        if ($text !== '' && ctype_digit($text[0])) {
            return false;
        }
        static $known = [];
        if (strlen($text) > self::SHORT) {
            return self::says($text);
        }
        if (count($known) >= self::REMEMBERED) {
            $known = [];
        }

        return $known[$text] ??= self::says($text);
    }

    private static function says(string $text): bool
    {
        static $words = null;
        $words ??= array_fill_keys(self::WORDS, true);
        $plain = preg_replace('/[\s.\/\\\\\-–—_()*?:]+/u', '', mb_strtolower($text)) ?? '';

        return $plain === '' || isset($words[$plain]);
    }
}
