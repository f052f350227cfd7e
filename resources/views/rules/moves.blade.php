@foreach ($met as $key => $says)
    <span id="met-{{ $key }}" class="small text-body-secondary" hx-swap-oob="true">{{ $says }}</span>
@endforeach
@if ($mistake)<p class="text-danger" role="alert">{{ $mistake }}</p>
@elseif ($moves->moved === 0)<p class="text-body-tertiary">Nothing moves.</p>
@else
    <p class="text-body-tertiary">{{ $moves->summary() }}</p>
    <ol class="list-unstyled mb-0 mt-2" data-moves>
        @foreach ($moves->lines() as $move)
            <li class="hstack gap-2 border-top py-1"><span>{{ $move['name'] }}</span>
                <span class="ms-auto text-nowrap">{{ $move['before'] }} →
                    <strong>{{ $move['after'] }}</strong></span></li>
        @endforeach
    </ol>
@endif
@if ($back ?? null)<p class="small text-body-secondary mt-2 mb-0">{{ $back }}</p>@endif
