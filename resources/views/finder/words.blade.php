@use('Luftig\Core\Finder\Field')
@php $address = fn ($step) => route('finder', $search->parameters([...$search->steps, $step])); @endphp
@foreach ($frequent as $field => $phrases)
    <h3 class="muted small facet-name">Frequent here and rare elsewhere: {{ Field::from($field) === Field::Title ? 'in titles' : 'in what accounts say' }}</h3>
    @foreach ($phrases as $phrase)
        <div class="facet"><span>{{ trim($phrase['step']->says(), '"') }}</span><span class="small muted number" title="{{ number_format($phrase['here']) }} of {{ number_format($total) }} here, {{ number_format($phrase['all']) }} of {{ number_format($everybody) }} in all">{{ App\View\Say::percent($phrase['here'] / max(1, $total)) }} / {{ App\View\Say::percent($phrase['all'] / max(1, $everybody)) }}</span><span class="number">{{ number_format($phrase['here']) }}</span>
            <a href="{{ $address($phrase['step']) }}" aria-label="Only with {{ $phrase['step']->says() }}">+</a><a href="{{ $address($phrase['step']->with(['x' => '1'])) }}" aria-label="Without {{ $phrase['step']->says() }}">−</a></div>
    @endforeach
@endforeach
@foreach ($additions as $i => $words)
    <h3 class="muted small facet-name">The query “{{ $search->steps[$i]->says() }}” could add</h3>
    @foreach ($words as $word)
        <p class="small spread"><a href="{{ route('finder', $search->parameters(array_replace($search->steps, [$i => $word['step']]))) }}">{{ \Illuminate\Support\Str::afterLast($word['step']->says(), ' OR ') }}</a><span class="muted">{{ number_format($word['more']) }} more</span></p>
    @endforeach
@endforeach
@if ($frequent === [] && $additions === [])<p class="small muted">No word sets these apart from all others.</p>@endif
