@props(['pages'])
@if ($pages->hasPages())
    <nav class="pager" aria-label="Pages">
        @if ($pages->previousPageUrl())<a href="{{ $pages->previousPageUrl() }}" rel="prev">Before</a>@endif
        <span>{{ number_format($pages->firstItem()) }}–{{ number_format($pages->lastItem()) }} of {{ number_format($pages->total()) }}</span>
        @if ($pages->nextPageUrl())<a href="{{ $pages->nextPageUrl() }}" rel="next">Next</a>@endif
    </nav>
@endif
