<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** The tree of ISIC Rev. 4: sections are letters, divisions two digits, groups three, classes four. */
final class IndustryTree
{
    /** First and last division of each section. */
    private const SECTIONS = [
        'A' => [1, 3], 'B' => [5, 9], 'C' => [10, 33], 'D' => [35, 35], 'E' => [36, 39], 'F' => [41, 43],
        'G' => [45, 47], 'H' => [49, 53], 'I' => [55, 56], 'J' => [58, 63], 'K' => [64, 66], 'L' => [68, 68],
        'M' => [69, 75], 'N' => [77, 82], 'O' => [84, 84], 'P' => [85, 85], 'Q' => [86, 88], 'R' => [90, 93],
        'S' => [94, 96], 'T' => [97, 98], 'U' => [99, 99],
    ];

    /**
     * A code and all it lies in: 2310 is in 231, 23 and C.
     *
     * @return list<string>
     */
    public static function path(string $code): array
    {
        $path = [];
        for ($part = $code; strlen($part) >= 2; $part = substr($part, 0, -1)) {
            $path[] = $part;
        }
        foreach (self::SECTIONS as $section => [$first, $last]) {
            if ((int) substr($code, 0, 2) >= $first && (int) substr($code, 0, 2) <= $last) {
                $path[] = $section;
            }
        }

        return $path === [] ? [$code] : $path;
    }

    /** Whether a class, group or division lies in (or is) a part of the tree. */
    public static function holds(string $part, string $code): bool
    {
        $section = self::SECTIONS[strtoupper($part)] ?? null;
        if ($section === null) {
            return str_starts_with($code, $part);
        }
        $division = (int) substr($code, 0, 2);

        return strtoupper($code) === strtoupper($part) || $division >= $section[0] && $division <= $section[1];
    }
}
