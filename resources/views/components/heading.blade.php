@props(['title', 'about' => null])
<div {{ $attributes->class('d-flex flex-wrap align-items-center justify-content-between gap-2 column-gap-3') }}>
    <div class="d-flex flex-wrap align-items-baseline column-gap-3 min-w-0">
        <h1 class="breaks">{{ $title }}</h1>
        @if ($about)<span class="text-body-secondary">{{ $about }}</span>@endif
        {{ $beside ?? '' }}
    </div>
    @if ($slot->isNotEmpty())<div class="d-flex flex-wrap align-items-center gap-2">{{ $slot }}</div>@endif
</div>
