<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Figure;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Str;

/** Numbers and times as the screens write them. */
final class Format
{
    /** .80, as parts of one are written. */
    public static function part(float $value): string
    {
        $text = number_format($value, 2, '.', '');

        return str_starts_with($text, '0.')
            ? substr($text, 1)
            : (str_starts_with($text, '-0.') ? '−'.substr($text, 2) : $text);
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

    public static function number(int|float $value): string
    {
        return number_format($value);
    }

    /** What a line of points is worth: a decimal where it has one. */
    public static function worth(float $points): string
    {
        return rtrim(rtrim(number_format($points, 1), '0'), '.');
    }

    /** One decimal, as a priority is written where it is explained. */
    public static function tenths(float $value): string
    {
        return number_format($value, 1);
    }

    /** A priority, or a dash where there is none. */
    public static function priority(?float $value): string
    {
        return $value === null ? '–' : (string) (int) round($value);
    }

    /** 0–100, of 0–1, for drawing. */
    public static function hundredths(float $share): int
    {
        return (int) round(100 * max(0.0, min(1.0, $share)));
    }

    public static function heads(?int $headcount, ?string $given = null): string
    {
        return $headcount === null ? 'heads unknown' : ($given ?? self::number($headcount)).' heads';
    }

    /** 3 March */
    public static function day(CarbonInterface $day): string
    {
        return $day->format('j F');
    }

    /** Tuesday 3 March */
    public static function weekday(CarbonInterface $day): string
    {
        return $day->format('l j F');
    }

    /** 3 March 2026 */
    public static function date(CarbonInterface $day): string
    {
        return $day->format('j F Y');
    }

    /** Mar 2026 */
    public static function month(CarbonInterface $day): string
    {
        return $day->format('M Y');
    }

    /** 3 March 2026, 09:00 UTC */
    public static function moment(CarbonInterface $time): string
    {
        return $time->format('j F Y, H:i').' UTC';
    }

    /** From when to when, as far as it is known. */
    public static function months(?CarbonInterface $since, ?CarbonInterface $until): string
    {
        return ($since === null ? '?' : self::month($since)).' – '.($until === null ? 'now' : self::month($until));
    }

    /** @param  LengthAwarePaginator<int|string, mixed>  $pages */
    public static function pages(LengthAwarePaginator $pages): string
    {
        return self::number((int) $pages->firstItem()).'–'.self::number((int) $pages->lastItem()).' of '
            .self::number($pages->total());
    }

    /** What is known of several things, in a line. */
    public static function line(?string ...$parts): string
    {
        return implode(' · ', array_filter($parts, fn (?string $part): bool => $part !== null && $part !== ''));
    }

    public static function cut(string $text, int $most): string
    {
        return Str::limit($text, $most, '…');
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
        return 'in '.self::count(
            max(1, (int) ceil(($time->getTimestamp() - CarbonImmutable::now()->getTimestamp()) / 86400)),
            'day',
        );
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

    /** @param  string|null  $several  where it is not made by an s */
    public static function count(int $number, string $thing, ?string $several = null): string
    {
        return self::number($number).' '.($number === 1 ? $thing : $several ?? "{$thing}s");
    }

    public static function figure(Figure $figure, float $value): string
    {
        return $figure === Figure::Headcount ? self::heads((int) $value) : self::money($value, 'EUR');
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
