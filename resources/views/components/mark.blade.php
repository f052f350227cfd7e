@props(['width' => 36])
<svg {{ $attributes->class('text-primary') }} width="{{ $width }}" viewBox="0 0 36 14" fill="none" stroke="currentColor"
    aria-hidden="true">
    <circle cx="3" cy="11" r="2.6" fill="currentColor" stroke="none"/>
    <path d="M3 11H31M17 11l3.5-8M22 11l3.5-8M27 11l3.5-8M31 11l3.5-8" stroke-width="1.7" stroke-linecap="round"/>
</svg>
