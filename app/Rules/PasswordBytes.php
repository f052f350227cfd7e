<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password of which every byte counts: the hash reads 72, and ends at a NUL. */
final class PasswordBytes implements ValidationRule
{
    private const MOST = 72;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && (strlen($value) > self::MOST || str_contains($value, "\0"))) {
            $fail(
                'A password has at most '.self::MOST
                    .' bytes (a letter with an accent is two), all of them of a keyboard.',
            );
        }
    }
}
