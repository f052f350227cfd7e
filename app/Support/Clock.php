<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\Carbon;
use Carbon\CarbonImmutable;

/** A time that stands still, for tests, pictures and demonstrations; never in production. */
final class Clock
{
    public static function apply(): void
    {
        $file = config('luftig.clock_file');
        $text = app()->isProduction() || app()->runningUnitTests() || ! is_file($file)
            ? null
            : trim((string) file_get_contents($file));
        if ($text !== null || CarbonImmutable::hasTestNow() && ! app()->runningUnitTests()) {
            Carbon::setTestNow($text);
            CarbonImmutable::setTestNow($text);
            // The browser's clock runs on, and would take a cookie that ends by ours for an old one.
            config(['session.expire_on_close' => $text !== null]);
        }
    }

    public static function set(?CarbonImmutable $time): void
    {
        $file = config('luftig.clock_file');
        $time === null ? @unlink($file) : file_put_contents($file, $time->toIso8601ZuluString());
        self::apply();
    }
}
