<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Support\Str;
use Illuminate\View\AnonymousComponent;
use Illuminate\View\Compilers\BladeCompiler;
use Illuminate\View\Compilers\ComponentTagCompiler;

/**
 * Compiles the tags of components so that what a component without a class is given is worked out once. The framework
 * writes each expression twice, as what the component knows and as its attributes, and a page would ask all that it is
 * made of twice.
 */
final class TagCompiler extends ComponentTagCompiler
{
    private const GIVES = '<?php $component->withAttributes([';

    /**
     * @param  string  $component
     * @param  array<mixed>  $attributes  name → PHP
     */
    protected function componentString($component, array $attributes): string
    {
        $compiled = parent::componentString($component, $attributes);
        // Attributes that are handed on as a whole are not among what the component knows.
        if (
            isset($attributes['attributes'])
            || ! str_contains($compiled, "@component('".AnonymousComponent::class."'")
        ) {
            return $compiled;
        }
        $given = array_map(
            fn (int|string $name): string => "'$name' => ".sprintf(
                isset($this->boundAttributes[$name])
                    ? '\\'.BladeCompiler::class.'::sanitizeComponentAttribute(%s)' : '%s',
                '$__given[\''.Str::camel((string) $name).'\']',
            ),
            array_keys($attributes),
        );

        return substr($compiled, 0, (int) strrpos($compiled, self::GIVES))
            .'<?php $__given = $component->data(); $component->withAttributes(['.implode(',', $given).']); ?>';
    }
}
