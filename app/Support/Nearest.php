<?php

declare(strict_types=1);

namespace App\Support;

use Luftig\Core\Text\Fold;

/** What somebody may have meant who typed something that is not known. */
final class Nearest
{
    private const MOST = 3;

    /** Longer texts are not names. */
    private const LONGEST = 60;

    /**
     * Those that begin as typed, or differ by few letters, the nearest first.
     *
     * @param  iterable<array-key, string>  $names
     * @return list<string>
     */
    public static function of(string $typed, iterable $names): array
    {
        $wanted = trim(Fold::line(mb_substr($typed, 0, self::LONGEST)));
        $near = [];
        foreach ($names as $name) {
            $folded = trim(Fold::line($name));
            if ($wanted === '' || $folded === '' || strlen($folded) > 4 * self::LONGEST) {
                continue;
            }
            $apart = levenshtein($wanted, substr($folded, 0, 250));
            $begins = strlen($wanted) > 2 && str_contains(" $folded", " $wanted");
            if ($begins || $apart <= max(1, intdiv(strlen($wanted), 3))) {
                $near[$name] = $begins ? min($apart, 2) : $apart;
            }
        }
        asort($near);

        return array_map(strval(...), array_slice(array_keys($near), 0, self::MOST));
    }

    /** @param  list<string>  $near */
    public static function says(array $near): string
    {
        $quoted = array_map(fn (string $one): string => "“{$one}”", $near);

        return $near === [] ? '' : ' Do you mean '.implode(' or ', $quoted).'?';
    }
}
