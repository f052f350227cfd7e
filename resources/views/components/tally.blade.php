{{-- How many of what, as far as a piece of work has come. --}}
@props(['tally'])
<div class="d-flex flex-wrap gap-4">
    @foreach ($tally as $one)
        <div><span class="font-figure fs-3 fw-semibold d-block"
            data-tally="{{ $one['field'] }}">{{ $one['number'] }}</span>
            <span class="text-body-secondary">{{ $one['label'] }}</span></div>
    @endforeach
</div>
