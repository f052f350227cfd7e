@props(['facet'])
<div class="facet">
    <span class="text-truncate" title="{{ $facet->label }}">{{ $facet->label }}</span>
    <x-progress :share="$facet->share" tone="light" />
    <span class="text-end" data-count>{{ $facet->number }}</span>
    <a href="{{ $facet->only }}" aria-label="Only {{ $facet->of }}: {{ $facet->label }}">+</a>
    <a href="{{ $facet->without }}" aria-label="Without {{ $facet->of }}: {{ $facet->label }}">−</a>
</div>
