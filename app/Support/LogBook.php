<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Support\Facades\DB;

/** The log only grows, which the database sees to; somebody's right to be erased goes before that. */
final class LogBook
{
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
