<?php

declare(strict_types=1);

namespace App\Rules;

use App\Models\ApproachKind;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Words that are no longer than the kind of approach allows (rule 21). */
final readonly class FitsItsKind implements ValidationRule
{
    public function __construct(private mixed $kind)
    {
    }

    /** @param  Closure(string): mixed  $fail */
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $kind = is_string($this->kind) ? ApproachKind::tryFrom($this->kind) : null;
        $exceeded = is_string($value) ? $kind?->limit()?->exceeded($value) : null;
        if ($kind !== null && $exceeded !== null) {
            $fail("Too long for a {$kind->label()}. $exceeded");
        }
    }
}
