@props(['page'])
<aside class="col-lg-4" aria-label="What is in here">
    <div class="card card-body">
        <h2>What is in here</h2>
        @foreach ($page->facets() as $field => $facets)
            <h3 class="small text-body-secondary mt-2">{{ $field }}</h3>
            @foreach ($facets as $facet)<x-finder.facet :$facet />@endforeach
        @endforeach
        <div class="mt-3" hx-get="{{ $page->words() }}" hx-trigger="load"><a href="{{ $page->words() }}">Words seen in
            these</a></div>
        <p class="small mt-3"><a href="{{ $page->otherFields() }}">{{ $page->isWhole ? 'Fewer fields'
            : 'Every field' }}</a></p>
    </div>
</aside>
