<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Codes of six digits that change every half minute (RFC 6238, with HMAC-SHA-1 as every program that shows them has
 * it). The one before and the one after count too, for clocks differ; none counts twice.
 */
final class OneTimeCode
{
    private const PERIOD = 30;

    private const DIGITS = 6;

    private const BESIDE = 1;

    private const BYTES = 20;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** In the letters of RFC 4648, base 32. */
    public static function secret(): string
    {
        return self::encode(random_bytes(self::BYTES));
    }

    /** @param  int  $time  Unix seconds */
    public static function at(string $secret, int $time): string
    {
        return self::code($secret, intdiv($time, self::PERIOD));
    }

    /**
     * @param  int  $time  Unix seconds
     * @param  int|null  $last  the step of the last code that counted
     * @return int|null the step of the code; null: it does not count
     */
    public static function step(string $secret, string $code, int $time, ?int $last = null): ?int
    {
        $code = (string) preg_replace('/\s+/', '', $code);
        $now = intdiv($time, self::PERIOD);
        for ($step = $now - self::BESIDE; $step <= $now + self::BESIDE; $step++) {
            if (($last === null || $step > $last) && hash_equals(self::code($secret, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** What a program that shows codes takes in. */
    public static function address(string $secret, string $whose): string
    {
        return 'otpauth://totp/Luftig:'.rawurlencode($whose)."?secret=$secret&issuer=Luftig";
    }

    private static function code(string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::decode($secret), true);
        $from = ord($hash[strlen($hash) - 1]) & 15;
        $number = (int) (unpack('N', substr($hash, $from, 4)) ?: [1 => 0])[1] & 0x7FFFFFFF;

        return str_pad((string) ($number % 10 ** self::DIGITS), self::DIGITS, '0', STR_PAD_LEFT);
    }

    private static function encode(string $bytes): string
    {
        $bits = implode('', array_map(fn (string $one): string => sprintf('%08b', ord($one)), str_split($bytes)));

        return implode('', array_map(
            fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5),
        ));
    }

    private static function decode(string $secret): string
    {
        $bits = implode('', array_map(
            fn (string $letter): string => sprintf('%05b', (int) strpos(self::ALPHABET, $letter)), str_split($secret),
        ));

        return implode('', array_map(
            fn (string $eight): string => strlen($eight) < 8 ? '' : chr((int) bindec($eight)), str_split($bits, 8),
        ));
    }
}
