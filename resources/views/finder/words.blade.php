@foreach ($words->frequent as $where => $phrases)
    <h3 class="small text-body-secondary mt-2">Frequent here and rare elsewhere: {{ $where }}</h3>
    @foreach ($phrases as $phrase)
        <div class="facet">
            <span class="text-truncate">{{ $phrase['says'] }}</span>
            <span class="small text-body-secondary text-end text-nowrap"
                title="{{ $phrase['title'] }}">{{ $phrase['shares'] }}</span>
            <span class="text-end">{{ $phrase['here'] }}</span>
            <a href="{{ $phrase['only'] }}" aria-label="Only with {{ $phrase['says'] }}">+</a>
            <a href="{{ $phrase['without'] }}" aria-label="Without {{ $phrase['says'] }}">−</a>
        </div>
    @endforeach
@endforeach
@foreach ($words->additions as $query => $more)
    <h3 class="small text-body-secondary mt-2">The query “{{ $query }}” could add</h3>
    @foreach ($more as $one)
        <p class="small hstack"><a href="{{ $one['url'] }}">{{ $one['word'] }}</a><span
            class="ms-auto text-body-secondary">{{ $one['more'] }} more</span></p>
    @endforeach
@endforeach
@if ($words->isEmpty())<p class="small text-body-secondary">No word sets these apart from all others.</p>@endif
