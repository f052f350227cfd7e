<?php

declare(strict_types=1);

namespace App\View;

/** The address of a file in public/ with a mark of what it holds, so that a browser may keep it for good. */
final class Asset
{
    private const MARK = 10;

    /** @var array<string, string> */
    private static array $known = [];

    public static function url(string $file): string
    {
        return self::$known[$file] ??= "/$file?".substr((string) sha1_file(public_path($file)), 0, self::MARK);
    }
}
