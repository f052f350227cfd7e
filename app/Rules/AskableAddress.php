<?php

declare(strict_types=1);

namespace App\Rules;

use App\Feeds\Site;
use App\Feeds\Unreachable;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** An address of the web that leads somewhere, and not into the own network. */
final class AskableAddress implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            Site::of(is_string($value) ? $value : '');
        } catch (Unreachable $e) {
            $fail($e->getMessage());
        }
    }
}
