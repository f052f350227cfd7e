<?php

declare(strict_types=1);

namespace App\View\Finder;

/** One control of a condition's form. */
final readonly class Control
{
    /**
     * @param  string  $is  the view it is shown by, under components/finder/control
     * @param  array<int|string, string>  $options  that can be chosen
     * @param  list<string>  $chosen
     * @param  int  $width  in twelfths of the form
     */
    private function __construct(
        public string $is,
        public string $name = '',
        public string $label = '',
        public string $value = '',
        public array $options = [],
        public array $chosen = [],
        public int $width = 12,
        public bool $required = false,
        public bool $first = false,
        public string $placeholder = '',
        public string $suggests = '',
    ) {
    }

    public static function note(string $text): self
    {
        return new self('note', label: $text);
    }

    public static function text(
        string $name,
        string $label,
        string $value,
        int $width = 6,
        bool $required = false,
        bool $first = false,
        string $placeholder = '',
    ): self {
        return new self(
            'text', $name, $label, $value, width: $width, required: $required, first: $first, placeholder: $placeholder,
        );
    }

    public static function place(string $name, string $label, string $value): self
    {
        return new self(
            'place', $name, $label, $value, width: 9, required: true, first: true, placeholder: 'Halden, Norway',
        );
    }

    public static function lines(string $name, string $label, string $value, bool $required): self
    {
        return new self('lines', $name, $label, $value, required: $required, first: true);
    }

    /**
     * @param  array<array-key, string>  $chosen  value → as people read it
     * @param  string  $suggests  the address of what begins as typed
     */
    public static function values(string $name, string $label, array $chosen, string $typed, string $suggests): self
    {
        return new self(
            'values', $name.'[]', $label, $typed, $chosen, required: $chosen === [], first: true, suggests: $suggests,
        );
    }

    public static function query(
        string $name,
        string $label,
        string $value,
        bool $required = false,
        bool $first = false,
        string $placeholder = '',
    ): self {
        return new self('query', $name, $label, $value, required: $required, first: $first, placeholder: $placeholder);
    }

    /** @param  array<int|string, string>  $options */
    public static function select(
        string $name,
        string $label,
        array $options,
        string $value,
        bool $first = false,
        int $width = 12,
    ): self {
        return new self('select', $name, $label, $value, $options, width: $width, first: $first);
    }

    /**
     * @param  array<int|string, string>  $options
     * @param  list<string>  $chosen
     */
    public static function ticks(string $name, string $label, array $options, array $chosen, bool $first = false): self
    {
        return new self('ticks', $name, $label, options: $options, chosen: $chosen, first: $first);
    }

    public static function tick(string $name, string $label, bool $checked, bool $first = false): self
    {
        return new self('tick', $name, $label, $checked ? '1' : '', first: $first);
    }
}
