<?php

declare(strict_types=1);

namespace App\Finder;

use Illuminate\Support\Facades\DB;

/** Long lists of values, kept under a short mark, so that the address of a search stays one that can be sent. */
final class Pasted
{
    /** Up to so many characters stand in the address itself. */
    private const SHORT = 600;

    /** Bytes. */
    public const LONGEST = 4_000_000;

    /** @return string the text, or the mark under which it is kept */
    public static function short(string $text): string
    {
        return strlen($text) <= self::SHORT ? $text : self::keep($text);
    }

    /** @return string the mark under which a text is kept, however short */
    public static function keep(string $text): string
    {
        $mark = '@'.substr(hash('sha256', $text), 0, 20);
        DB::table('pasted')
            ->upsert([['mark' => $mark, 'text' => $text, 'created_at' => now()]], 'mark', ['created_at']);

        return $mark;
    }

    public static function text(string $short): string
    {
        return self::isMark($short) ? (string) DB::table('pasted')->where('mark', $short)->value('text') : $short;
    }

    /** A mark under which nothing is kept: it was made elsewhere, or by nobody. */
    public static function isGone(string $short): bool
    {
        return self::isMark($short) && DB::table('pasted')->where('mark', $short)->doesntExist();
    }

    /** What was pasted so many days ago and stands in no list and no watch is forgotten. */
    public static function forget(int $days): void
    {
        $old = DB::table('pasted')->where('created_at', '<', now()->subDays($days))->pluck('mark');
        foreach ($old as $mark) {
            // In an address the mark may stand as it is, or with its @ as %40.
            $isUsed = fn (string $table): bool => DB::table($table)
                ->where('search', 'like', '%'.substr($mark, 1).'%')->exists();
            if (! $isUsed('lists') && ! $isUsed('watches')) {
                DB::table('pasted')->where('mark', $mark)->delete();
            }
        }
    }

    private static function isMark(string $short): bool
    {
        return preg_match('/^@[0-9a-f]{20}$/', $short) === 1;
    }
}
