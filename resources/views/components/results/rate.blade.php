{{-- How many answered, with the interval of the share as a line, and one in twenty as a dashed one. --}}
@props(['rate'])
<div class="row g-2 align-items-center py-1">
    <div class="col-5 breaks">{{ $rate->name }}</div>
    <div class="col-2 text-end small text-nowrap">{{ $rate->count() }}</div>
    <div class="col-1 text-end fw-semibold">{{ $rate->share() }}</div>
    <div class="col-4"><svg viewBox="0 0 {{ $rate::WIDTH }} 14" width="100%" height="14" role="img"
        aria-label="{{ $rate->interval() }}, {{ $rate->says() }}" preserveAspectRatio="none">
        <line x1="{{ $rate->mark() }}" x2="{{ $rate->mark() }}" y1="0" y2="14" class="text-body-secondary"
            stroke="currentColor" stroke-dasharray="2 2" />
        <line x1="{{ $rate->from() }}" x2="{{ $rate->to() }}" y1="7" y2="7" class="text-primary" stroke="currentColor"
            stroke-width="2" />
        <rect x="{{ $rate->dot() }}" y="2" width="3" height="10" class="text-primary" fill="currentColor" />
    </svg></div>
</div>
