<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\TransformsRequest;

/** What comes in as text is text: bytes that are none become marks instead of errors of the database. */
final class ReadableText extends TransformsRequest
{
    protected function transform($key, $value): mixed
    {
        return is_string($value) ? mb_scrub($value) : $value;
    }
}
