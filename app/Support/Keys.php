<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Hashes with the key of the program, of what cannot be hashed anew once the key is another: it is known by the keys
 * before it too.
 */
final class Keys
{
    /** As it is kept from now on. */
    public static function hash(string $text): string
    {
        return hash_hmac('sha256', $text, config()->string('app.key'));
    }

    /** @return list<string> as it may have been kept, with the key or one before it */
    public static function hashes(string $text): array
    {
        return array_map(
            fn (mixed $key): string => hash_hmac('sha256', $text, is_string($key) ? $key : ''),
            array_values([config()->string('app.key'), ...config()->array('app.previous_keys', [])]),
        );
    }
}
