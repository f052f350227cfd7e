<div class="d-flex flex-wrap justify-content-between align-items-center gap-2 mb-1">
    <p><strong data-total>{{ $page->found() }}</strong>{{ $page->inAccounts() }}:
        @foreach ($page->work() as $work)
            @if ($work['url'])<a href="{{ $work['url'] }}"
                title="Leave out what is {{ $work['label'] }}">{{ $work['says'] }}</a>{{ $work['after'] }}
            @else{{ $work['says'].$work['after'] }}@endif
        @endforeach
        <span class="small text-body-secondary">· {{ $page->advice() }}@if ($page->total > 0 && $page->otherOrder()) ·
            <a href="{{ $page->otherOrder() }}">{{ $page->sorting->isGrouped() ? 'by priority'
                : 'by account' }}</a>@endif</span></p>
    @if ($page->total > 0)
        <div class="d-flex flex-wrap gap-2">
            <x-button small opens="keep-list">Keep as list</x-button><x-button small opens="tag">Tag</x-button>
            <x-button small opens="watch">Watch</x-button><x-button small opens="export">Export</x-button>
        </div>
    @endif
</div>
