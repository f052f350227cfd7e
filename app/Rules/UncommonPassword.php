<?php

declare(strict_types=1);

namespace App\Rules;

use App\Support\PasswordStrength;
use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password that is none of those tried first. */
final class UncommonPassword implements DataAwareRule, ValidationRule
{
    /** @var array<mixed> */
    private array $data = [];

    /** @param  array<mixed>  $data */
    public function setData(array $data): self
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (
            is_string($value)
            && $value !== ''
            && PasswordStrength::of($value, $this->given('name'), $this->given('email'))->isCommon
        ) {
            $fail('That password is one of those that are tried first. Take some words that do not belong together.');
        }
    }

    private function given(string $field): string
    {
        return is_string($this->data[$field] ?? null) ? $this->data[$field] : '';
    }
}
