{{-- Fit, Timing and Access of a standing. --}}
@props(['standing'])
<div class="row g-2">
    @foreach (['Fit' => $standing->fit, 'Timing' => $standing->timing(),
        'Access' => $standing->access] as $name => $value)
        <div class="col">
            <div class="rounded bg-body p-2 h-100 hstack gap-2 align-items-end">
                <svg class="text-primary" width="5" height="38" viewBox="0 0 5 1" preserveAspectRatio="none"
                    aria-hidden="true">
                    <rect y="{{ 1 - $value }}" width="5" height="{{ $value }}" fill="currentColor"/></svg>
                <div><span class="font-figure fs-4 fw-semibold">{{ App\Support\Format::part($value) }}</span><br>
                    <span class="small text-body-secondary">{{ $name }}</span></div>
            </div>
        </div>
    @endforeach
</div>
