{{-- A signal with its source and quote. --}}
@props(['one'])
<div class="d-flex gap-2 border-bottom py-2">
    <span class="fw-semibold text-body-secondary flex-shrink-0 min-w-3"><x-ago :time="$one->signal->occurred_at"
        short /></span>
    <div class="min-w-0">
        <div class="d-flex gap-2">@if ($one->line)<x-barb :line="$one->line" bare />@endif<a
            class="breaks text-body" href="{{ route('signals.show', $one->signal) }}">{{ $one->signal->title
            }}</a></div>
        <span class="small text-body-secondary">{{ $one->about }}@if ($one->signal->link) ·
            <a href="{{ $one->signal->link }}" rel="noreferrer noopener" target="_blank">source page</a>@endif</span>
        @if ($one->signal->quote)<blockquote>{{ $one->signal->quote }}</blockquote>@endif
    </div>
</div>
