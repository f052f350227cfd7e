<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Support\FunctionNames;
use Luftig\Core\Person\BusinessFunction;

/** A buyer role, or a role of interest, as the fields of a form. */
final readonly class RoleRow
{
    /**
     * @param  string  $form  buyer_roles or roles_of_interest
     * @param  array<string, mixed>  $given  as it is stored, or as it was typed
     */
    public function __construct(private string $form, public string $key, private array $given = [])
    {
    }

    public function name(string $field): string
    {
        return "{$this->form}[{$this->key}][$field]";
    }

    public function given(string $field, string $default = ''): string
    {
        return is_scalar($this->given[$field] ?? null) ? (string) $this->given[$field] : $default;
    }

    /** @return array<mixed> as it was given */
    public function chosen(string $list): array
    {
        return (array) ($this->given[$list] ?? []);
    }

    /** Titles in one country only, a line each. */
    public function variants(): string
    {
        $variants = $this->given['variants'] ?? '';

        return is_array($variants)
            ? implode(
                "\n",
                array_map(
                    fn (int|string $country, mixed $query): string => "$country: $query",
                    array_keys($variants),
                    $variants,
                ),
            )
            : (string) $variants;
    }

    public function functions(string $none): string
    {
        $neighbours = $this->listed('neighbours');
        $countries = is_array($this->given['variants'] ?? null)
            ? implode(', ', array_keys($this->given['variants']))
            : '';

        return ($this->listed('functions') ?: $none).($neighbours === '' ? '' : "; neighbours: $neighbours")
            .($countries === '' ? '' : "; titles in $countries");
    }

    /** Several values as they are read, functions by their names. */
    public function listed(string $list): string
    {
        $values = array_filter((array) ($this->given[$list] ?? []), is_string(...));

        return implode(', ', array_map(
            fn (string $value): string => ($function = BusinessFunction::tryFrom($value)) === null
                ? str_replace('_', ' ', $value)
                : FunctionNames::of($function),
            $values,
        ));
    }
}
