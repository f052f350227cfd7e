@props(['pages'])
@if ($pages->hasPages())
    <nav class="hstack gap-3 pt-3 text-body-secondary" aria-label="Pages">
        @if ($pages->previousPageUrl())<a href="{{ $pages->previousPageUrl() }}"
            rel="prev">Before</a>@endif
        <span>{{ App\Support\Format::pages($pages) }}</span>
        @if ($pages->nextPageUrl())<a href="{{ $pages->nextPageUrl() }}" rel="next">Next</a>@endif
    </nav>
@endif
