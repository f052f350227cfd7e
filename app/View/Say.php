<?php

declare(strict_types=1);

namespace App\View;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/** Numbers and times as the screens write them. */
final class Say
{
    /** .80, as parts of one are written. */
    public static function part(float $value): string
    {
        $text = number_format($value, 2, '.', '');

        return str_starts_with($text, '0.') ? substr($text, 1) : (str_starts_with($text, '-0.') ? '−'.substr($text, 2) : $text);
    }

    /** Signed points with one decimal: +11.0 */
    public static function points(float $value): string
    {
        $text = number_format(abs($value), 1, '.', '');

        return match (true) {
            $text === '0.0' => '0.0',
            $value < 0 => '−'.$text,
            default => '+'.$text,
        };
    }

    public static function percent(float $value): string
    {
        return number_format(100 * $value, 0).' %';
    }

    public static function growth(float $value): string
    {
        return ($value < 0 ? '−' : '+').number_format(abs(100 * $value), 0).' %';
    }

    public static function ago(CarbonInterface $time): string
    {
        $seconds = CarbonImmutable::now()->getTimestamp() - $time->getTimestamp();
        if ($seconds < 0) {
            return self::until($time);
        }
        $days = $seconds / 86400;

        return match (true) {
            $seconds < 3600 => 'within the hour',
            $seconds < 86400 => self::count((int) ($seconds / 3600), 'hour').' ago',
            $days < 60 => self::count((int) $days, 'day').' ago',
            $days < 700 => self::count((int) round($days / 30.4), 'month').' ago',
            default => self::count((int) round($days / 365), 'year').' ago',
        };
    }

    /** 3 d, for narrow columns. */
    public static function short(CarbonInterface $time): string
    {
        $days = (CarbonImmutable::now()->getTimestamp() - $time->getTimestamp()) / 86400;

        return match (true) {
            $days < 0 => 'in '.(int) ceil(-$days).' d',
            $days < 1 => (int) ($days * 24).' h',
            $days < 100 => (int) $days.' d',
            default => (int) round($days / 30.4).' mo',
        };
    }

    private static function until(CarbonInterface $time): string
    {
        return 'in '.self::count(max(1, (int) ceil(($time->getTimestamp() - CarbonImmutable::now()->getTimestamp()) / 86400)), 'day');
    }

    /** What is left until the act-by day, in words. */
    public static function hurry(?CarbonInterface $actBy): string
    {
        if ($actBy === null) {
            return 'no hurry';
        }
        $days = (int) CarbonImmutable::today()->diffInDays($actBy);

        return match (true) {
            $days < 0 => 'ran out '.self::count(-$days, 'day').' ago',
            $days === 0 => 'act today',
            default => 'act within '.self::count($days, 'day'),
        };
    }

    public static function count(int $number, string $thing): string
    {
        return number_format($number).' '.$thing.($number === 1 ? '' : 's');
    }

    public static function money(float $amount, string $currency): string
    {
        return match (true) {
            $amount >= 1e9 => $currency.' '.rtrim(rtrim(number_format($amount / 1e9, 1), '0'), '.').' billion',
            $amount >= 1e6 => $currency.' '.rtrim(rtrim(number_format($amount / 1e6, 1), '0'), '.').' million',
            default => $currency.' '.number_format($amount),
        };
    }
}
