@if ($mistake)<p class="wrong" role="alert">{{ $mistake }}</p>
@elseif ($moves->moved === 0)<p class="soft">Nothing moves.</p>
@else
    <p class="soft">{{ number_format($moves->moved) }} of {{ App\View\Say::count($moves->of, 'account') }} would move. Ranked {{ number_format($moves->states['ranked'] ?? 0) }}, waiting {{ number_format($moves->states['waiting'] ?? 0) }}, out {{ number_format($moves->states['out'] ?? 0) }}, kept out {{ number_format($moves->states['kept_out'] ?? 0) }}.</p>
    <ol class="plain above" data-moves>
        @foreach ($moves->biggest as $move)
            <li style="display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 10px; padding: 4px 0; border-top: 1px solid var(--hairline)"><span>{{ $move['name'] }}</span><span>{{ $move['before'] === null ? lcfirst($move['was']?->label() ?? 'new') : round($move['before']) }} → <strong>{{ $move['after'] === null ? lcfirst($move['becomes']->label()) : round($move['after']) }}</strong></span></li>
        @endforeach
    </ol>
@endif
