<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Support\Facades\DB;

/** The log only grows, which the database sees to; somebody's right to be erased goes before that. */
final class LogBook
{
    /** What is older than so many days has served its time. */
    public static function forget(int $days): void
    {
        self::whileErasing(fn (): int => DB::table('activity_log')->where('created_at', '<', now()->subDays($days))
            ->delete());
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $erase
     * @return T
     */
    public static function whileErasing(Closure $erase): mixed
    {
        DB::statement('SET @luftig_erases = 1');
        try {
            return $erase();
        } finally {
            DB::statement('SET @luftig_erases = 0');
        }
    }
}
