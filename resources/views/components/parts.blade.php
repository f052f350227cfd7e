@props(['standing'])
<div class="parts">
    @foreach (['Fit' => $standing->fit, 'Timing' => $standing->timing(), 'Access' => $standing->access] as $name => $value)
        <div class="part"><i style="height: {{ round(100 * $value) }}%" aria-hidden="true"></i><span class="figure">{{ \App\View\Say::part($value) }}</span><span class="small muted">{{ $name }}</span></div>
    @endforeach
</div>
