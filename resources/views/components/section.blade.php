@props(['title', 'about' => null])
<section {{ $attributes }}>
    <div class="d-flex flex-wrap justify-content-between align-items-baseline column-gap-3 border-bottom pb-2 mb-1">
        <h2>{{ $title }}</h2>
        @if ($about)<span class="small text-body-secondary">{{ $about }}</span>@endif
    </div>
    {{ $slot }}
</section>
