<p id="pays" class="mt-2 mb-0">@if ($pays->isAny()){{ $pays->says() }}
    <a href="{{ route('look-ups') }}">See which</a>@endif</p>
