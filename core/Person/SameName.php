<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

use Luftig\Core\Text\Fold;

/** How two names at one address stand to each other. */
enum SameName
{
    /** One person, written in full, with fewer names, or with initials. */
    case Same;

    /** One first or last name is the same: somebody who married, or two of one family. */
    case Doubtful;

    case Other;

    private const UMLAUTS = ['ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'å' => 'aa', 'ø' => 'oe'];

    public static function of(string $first, string $last, string $otherFirst, string $otherLast): self
    {
        $isFirst = self::agrees($first, $otherFirst);
        $isLast = self::agrees($last, $otherLast);
        // What neither of the two has they do not share.
        $areAlike = array_filter([
            ...array_intersect(self::spellings($first), self::spellings($otherFirst)),
            ...array_intersect(self::spellings($last), self::spellings($otherLast)),
        ]) !== [];

        return match (true) {
            $isFirst && $isLast => self::Same,
            // Whole names that were parted at another place.
            Fold::words("$first $last") === Fold::words("$otherFirst $otherLast") => self::Same,
            $areAlike => self::Doubtful,
            default => self::Other,
        };
    }

    /** The same, or one has only some of the other's words, or their initials; a name that is missing agrees. */
    private static function agrees(string $name, string $other): bool
    {
        if (Fold::words($name) === [] || Fold::words($other) === []) {
            return true;
        }
        foreach (self::spellings($name) as $one) {
            foreach (self::spellings($other) as $two) {
                if (self::isWithin(explode(' ', $one), explode(' ', $two))) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<string>  $one
     * @param  list<string>  $two
     */
    private static function isWithin(array $one, array $two): bool
    {
        [$fewer, $more] = count($one) <= count($two) ? [$one, $two] : [$two, $one];
        foreach ($fewer as $word) {
            $found = array_filter($more, fn (string $other): bool => $other === $word
                || (strlen($word) === 1 && $other[0] === $word)
                || (strlen($other) === 1 && $word[0] === $other));
            if ($found === []) {
                return false;
            }
            unset($more[array_key_first($found)]);
        }

        return true;
    }

    /** @return list<string> Jörg as jorg and as joerg */
    private static function spellings(string $name): array
    {
        return array_values(array_unique([
            implode(' ', Fold::words($name)),
            implode(' ', Fold::words(strtr(mb_strtolower($name), self::UMLAUTS))),
        ]));
    }
}
