<?php

declare(strict_types=1);

namespace App\View;

/** What somebody typed and is shown again; what is no text, since no field of ours sent it, is empty. */
final class Typed
{
    /**
     * @template K of array-key
     *
     * @param  array<K, mixed>|mixed  $typed
     * @return ($typed is array ? array<K, string> : array<string>)
     */
    public static function texts(mixed $typed): array
    {
        return array_map(fn (mixed $one): string => is_scalar($one) ? (string) $one : '', (array) $typed);
    }
}
