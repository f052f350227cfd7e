<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** A form sends text. A number that somebody sends as one is read like the same number typed, a yes like a tick. */
final class FormsAreText extends TransformsRequest
{
    protected function transform($key, $value): mixed
    {
        return is_bool($value) ? ($value ? '1' : '0') : (is_int($value) || is_float($value) ? (string) $value : $value);
    }
}
