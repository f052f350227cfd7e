<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;

/** Names of technologies, as sources write them. */
final class Technology
{
    /**
     * The same for all variants of a name: case, accents, spaces and punctuation do not tell them apart, nor does a
     * version at the end: "Vedliko-Plan", "VedlikoPlan" and "Vedliko Plan v2.1" are one.
     */
    public static function key(string $name): string
    {
        $words = Fold::words($name);
        while (count($words) > 1 && preg_match('/^(?:v|version|release)?\d*$/', $words[count($words) - 1]) === 1) {
            array_pop($words);
        }

        return implode('', $words);
    }
}
