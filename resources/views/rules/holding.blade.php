@if ($mistake)<p class="text-danger" role="alert">{{ $mistake }}</p>
@else
    <p class="text-body-secondary mb-2" data-holds>{{ $today->summary() }}</p>
    @foreach ($today->drafts() as $draft)
        <article class="border-top py-2">
            <p class="small text-body-secondary mb-1">To {{ $draft['to'] }} · in {{ $draft['language'] }}</p>
            <p class="fw-bold mb-1">{{ $draft['says'] }}</p>
            <p class="mb-1 breaks lines">{{ $draft['words'] }}</p>
            @foreach ($draft['doubts'] as $doubt)<p class="small text-danger mb-0">{{ $doubt }}</p>@endforeach
        </article>
    @endforeach
    @if ($today->named() !== [])
        <h3 class="mt-2">It holds for</h3>
        <ul class="list-unstyled mb-0 small">
            @foreach ($today->named() as $one)
                <li class="border-top py-1"><a href="{{ $one['address'] }}">{{ $one['name'] }}</a></li>
            @endforeach
        </ul>
        @if ($today->more() > 0)<p class="small text-body-secondary mb-0">and {{ $today->more() }} more</p>@endif
    @endif
@endif
