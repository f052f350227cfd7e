@props(['page'])
<aside class="col-lg-4" aria-label="What is in here">
    <div class="card card-body">
        <h2>What is in here</h2>
        @foreach ($page->facets() as $facets)
            <div class="hstack mt-2"><h3 class="small text-body-secondary mb-0">{{ $facets->label() }}</h3>
                @if ($facets->more)<a class="small ms-auto" href="{{ $facets->more }}"
                    aria-label="{{ $facets->isWide ? 'Fewer' : 'More' }} values of {{ $facets->label() }}">{{
                        $facets->isWide ? 'fewer' : 'more' }}</a>@endif</div>
            @if ($facets->isWide)<x-finder.several :$page :$facets />
            @else @foreach ($facets->values as $facet)<x-finder.facet :$facet />@endforeach @endif
        @endforeach
        <div class="mt-3" hx-get="{{ $page->words() }}" hx-trigger="load"><a href="{{ $page->words() }}">Words seen in
            these</a></div>
        <p class="small mt-3"><a href="{{ $page->otherFields() }}">{{ $page->isWhole ? 'Fewer fields'
            : 'Every field' }}</a></p>
    </div>
</aside>
