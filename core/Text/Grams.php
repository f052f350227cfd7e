<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/**
 * The words, pairs and triples of neighbouring words of a text, folded. No phrase reaches across the end of a sentence
 * or of an item of a list, or a word that anybody says of themselves; none begins or ends with one that says nothing.
 */
final class Grams
{
    private const LONGEST = 3;

    private const SHORTEST_WORD = 2;

    /** What joins two phrases and belongs to neither. */
    private const JOINS = ['and', 'und', 'och', 'og', 'oraz', 'seka', 'ja', 'et', 'or', 'oder', 'eller', 'lub'];

    /** Of what anybody says of themselves. */
    private const ANYBODYS = [
        'we', 'us', 'ours', 'you', 'your', 'make', 'makes', 'made', 'making', 'offer', 'offers', 'wir', 'uns', 'unsere',
        'machen', 'bieten', 'vi', 'oss', 'vara', 'gor', 'laver', 'lager', 'my', 'wij', 'onze', 'maken', 'nous', 'notre',
    ];

    private const ENDS = '/[;.,:!?|()\n\r·–—]+|\s-\s/u';

    /** @return array<string, int> phrase → how often it stands there */
    public static function of(string $text): array
    {
        $grams = [];
        foreach (preg_split(self::ENDS, mb_scrub($text)) ?: [] as $part) {
            $words = Fold::words($part);
            foreach ($words as $i => $word) {
                if (! self::says($word)) {
                    continue;
                }
                // A number that stands alone would be read as one.
                if (! ctype_digit($word)) {
                    $grams[$word] = ($grams[$word] ?? 0) + 1;
                }
                $phrase = $word;
                for ($n = 1; $n < self::LONGEST && isset($words[$i + $n]) && ! self::ends($words[$i + $n]); $n++) {
                    $phrase .= ' '.$words[$i + $n];
                    if (self::says($words[$i + $n])) {
                        $grams[$phrase] = ($grams[$phrase] ?? 0) + 1;
                    }
                }
            }
        }

        return $grams;
    }

    /**
     * Of phrases that others hold, those that say no more than these: they count for at most a tenth more.
     *
     * @param  array<string, float>  $phrases  phrase → how much it says
     * @param  array<string, float|int>  $counts
     * @return array<string, float> in the same order, without them
     */
    public static function withoutParts(array $phrases, array $counts): array
    {
        foreach (array_keys($phrases) as $phrase) {
            $words = explode(' ', (string) $phrase);
            for ($n = count($words) - 1; $n >= 1; $n--) {
                for ($i = 0; $i + $n <= count($words); $i++) {
                    $part = implode(' ', array_slice($words, $i, $n));
                    if (isset($phrases[$part]) && $counts[$phrase] >= .9 * $counts[$part]) {
                        unset($phrases[$part]);
                    }
                }
            }
        }

        return $phrases;
    }

    private static function says(string $word): bool
    {
        return strlen($word) >= self::SHORTEST_WORD && ! StopWords::has($word) && ! self::ends($word);
    }

    private static function ends(string $word): bool
    {
        static $ends = null;
        $ends ??= array_fill_keys([...self::JOINS, ...self::ANYBODYS], true);

        return isset($ends[$word]);
    }
}
