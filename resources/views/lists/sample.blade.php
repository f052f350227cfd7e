@use('App\View\Say')
@use('App\Finder\StepForm')
@php $check = $sample->check; $judged = count($sample->fits); $size = $sample->size; @endphp
<x-layout :title="'Spot check of '.$list->name" at="lists">
    <p class="back"><a href="{{ route('lists.show', $list) }}" data-back>← {{ $list->name }}</a></p>
    <h1>Spot check</h1>
    <div class="two gap">
        <section>
            @if ($record)
                <p class="muted">{{ count($sample->next) }} left to judge, drawn evenly over the list</p>
                @include('lists.record', ['action' => route('lists.judge', $list), 'field' => 'fits', 'yes' => 'Fits', 'no' => 'Does not'])
            @else
                <p class="empty">{{ $size === 0 ? 'The list is empty.' : 'The sample is judged; it is known well enough how good the list is.' }}</p>
            @endif
        </section>
        <aside class="card aside stack">
            <h2>How good the list is</h2>
            @if ($judged === 0)<p class="soft">Nothing is judged yet.</p>
            @else
                <p><span class="big" style="font-size: 30px">{{ Say::percent($check->low) }} – {{ Say::percent($check->high) }}</span><br><span class="muted small">of it fits, with 95 % confidence: {{ (int) array_sum($sample->fits) }} of {{ $judged }} judged</span></p>
                <p class="soft">Of {{ number_format($size) }}, {{ number_format(floor($check->expected[0])) }} to {{ number_format(ceil($check->expected[1])) }} are good. @if ($check->more > 0) {{ $check->more }} more to judge until that is known to within 10 points.@else That is known well enough.@endif</p>
            @endif
            @if ($exclusions !== [])
                <h3>What the misses share</h3>
                @foreach ($exclusions as $one)<p><a href="{{ $one['address'] }}">Without {{ $one['step']->field->label() }}: {{ $one['step']->says() }}</a> <span class="muted small">{{ $one['misses'] }} misses, no hit</span></p>@endforeach
            @endif
        </aside>
    </div>
</x-layout>
