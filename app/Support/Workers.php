<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Throwable;

/** Shares work among processes, each with a connection of its own to the database. */
final class Workers
{
    /** Not within a web request, and not within a transaction, which a second process would not see. */
    public static function areToBeHad(): bool
    {
        return PHP_SAPI === 'cli' && function_exists('pcntl_fork') && DB::transactionLevel() === 0;
    }

    /**
     * @param  Closure(int, int): void  $work  gets the worker's number from 0, and how many there are
     *
     * @throws RuntimeException where one of them failed; what the others did stays
     */
    public static function share(int $workers, Closure $work): void
    {
        DB::disconnect();
        $children = [];
        for ($number = 1; $number < $workers; $number++) {
            $child = pcntl_fork();
            if ($child === 0) {
                exit(self::run($work, $number, $workers) ? 0 : 1);
            }
            $children[] = $child;
        }
        try {
            DB::reconnect();
            $work(0, $workers);
        } finally {
            $failed = 0;
            foreach ($children as $child) {
                $failed += pcntl_waitpid($child, $status) === $child && pcntl_wifexited(
                    $status,
                ) && pcntl_wexitstatus($status) === 0 ? 0 : 1;
            }
        }
        if ($failed > 0) {
            throw new RuntimeException('A part of the accounts could not be computed; the log says why.');
        }
    }

    private static function run(Closure $work, int $number, int $workers): bool
    {
        try {
            DB::reconnect();
            $work($number, $workers);
            DB::disconnect();

            return true;
        } catch (Throwable $e) {
            report($e);

            return false;
        }
    }
}
