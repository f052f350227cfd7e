{{-- Something with an address in a list that one moves through; at the right what is known of it. --}}
@props(['url', 'title', 'about', 'badge' => null])
<div class="list-group-item" data-row data-url="{{ $url }}">
    <div class="row g-2">
        <div class="col-12 col-md-8 min-w-0">
            <a class="fs-5 fw-semibold text-body breaks" href="{{ $url }}">{{ $title }}</a>
            @if ($badge)<span class="badge border border-primary text-primary">{{ $badge }}</span>@endif
            <p class="text-body-tertiary breaks">{{ $about }}</p>
        </div>
        <div class="col-12 col-md-4 small text-body-secondary text-md-end">{{ $slot }}</div>
        @isset($below)<div class="col-12">{{ $below }}</div>@endisset
    </div>
</div>
