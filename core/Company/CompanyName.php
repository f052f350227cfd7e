<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;
use Normalizer;

/** The name of a company as it is compared: folded, without its legal form, joining words as “and” (rule 15). */
final readonly class CompanyName
{
    private const LEGAL = [
        'gmbh', 'mbh', 'ag', 'kg', 'kgaa', 'ohg', 'gbr', 'ug', 'se', 'ev', 'co', 'ab', 'publ', 'hb', 'kb', 'as', 'asa',
        'ans', 'aps', 'is', 'ps', 'oy', 'oyj', 'ky', 'ry', 'bv', 'nv', 'vof', 'cv',
        'spzoo', 'sa', 'spj', 'spk', 'sro', 'ou', 'sia', 'uab', 'ltd', 'limited', 'plc', 'llc', 'llp', 'inc',
        'incorporated', 'corp', 'corporation', 'company', 'sarl', 'sas', 'sasu', 'eurl', 'spa', 'srl', 'gesellschaft',
        'aktiengesellschaft', 'aktiebolag', 'aktieselskab',
    ];

    /**
     * Those that stand before a name in some countries; at the beginning the others are a part of it, as in EV
     * Components.
     */
    private const LEADING = ['ab', 'as', 'oy', 'ou', 'sia', 'uab', 'aps', 'gmbh', 'sarl', 'sas', 'sa', 'spa', 'ky'];

    private const AND = ['und', 'og', 'och', 'en', 'i', 'et', 'and', 'oraz', 'ja'];

    private const LONG = [
        'ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'ø' => 'oe', 'å' => 'aa', 'Ä' => 'ae', 'Ö' => 'oe', 'Ü' => 'ue',
        'Ø' => 'oe', 'Å' => 'aa',
    ];

    /**
     * @param  non-empty-list<string>  $forms  with ü as u, and as ue
     * @param  list<string>  $numbers
     */
    private function __construct(public array $forms, public array $numbers)
    {
    }

    public static function of(string $name): self
    {
        $name = Normalizer::normalize($name, Normalizer::FORM_C) ?: mb_scrub($name);
        $long = strtr($name, self::LONG);
        $forms = $long === $name
            ? [self::plain($name)]
            : array_values(array_unique([self::plain($name), self::plain($long)]));
        preg_match_all('/\d+/', $forms[0], $numbers);
        sort($numbers[0]);

        return new self($forms, $numbers[0]);
    }

    public function equals(self $other): bool
    {
        return array_intersect($this->forms, $other->forms) !== [];
    }

    /** A text in which the forms of names can be looked up as whole words, with a space before, between and after. */
    public static function line(string $text): string
    {
        $words = Fold::words(str_replace(['&', '+'], ' and ', Fold::letters($text)));

        return ' '.implode(' ', array_map(
            static fn (string $word): string => in_array($word, self::AND, true) ? 'and' : $word,
            $words,
        )).' ';
    }

    /**
     * Sixteen letters that names which may be equal share, whichever way ü is written; for finding them, not for
     * telling.
     */
    public function key(): string
    {
        return self::keyOf($this->forms[0]);
    }

    /** The key of a name of which the form is known. */
    public static function keyOf(string $form): string
    {
        // Whatever may stand for an umlaut goes, however much of it there is, so that all that may be equal is the same
        // here.
        return hash(
            'xxh3',
            (string) preg_replace(['~([aou])e+~', '~a{2,}~', '~([aou])e+~'], ['$1', 'a', '$1'], $form),
        );
    }

    private static function plain(string $name): string
    {
        $name = str_replace(['&', '+'], ' and ', Fold::letters($name));
        // A/S, B.V., s.r.o., Sp. z o.o., S.à r.l. are one word each.
        $name = (string) preg_replace(
            ['~\bsp\.?\s*z\s*o\.?\s*o\b\.?~u', '~\bs\.?\s?a\.?\s?r\.?\s?l\b\.?~u', '~(?<=\b\p{L})[./](?=\p{L}\b)~u'],
            ['spzoo', 'sarl', ''],
            $name,
        );
        $all = Fold::words($name);
        $words = [];
        foreach ($all as $i => $word) {
            if (! in_array($word, $i === 0 ? self::LEADING : self::LEGAL, true)) {
                $words[] = $word;
            }
        }
        $words = $words === [] ? $all : $words;
        // GmbH & Co. KG leaves its “and” behind.
        while (count($words) > 1 && in_array(end($words), self::AND, true)) {
            array_pop($words);
        }

        return implode(
            ' ',
            array_map(static fn (string $word): string => in_array($word, self::AND, true) ? 'and' : $word, $words),
        );
    }
}
