@if ($mistake !== null)<p class="text-danger mt-1">{{ $mistake }}</p>
@elseif ($words !== null)
    <p class="mt-1">{{ $words }}</p>
    @foreach ($hints as $hint)<p>{{ $hint }}</p>@endforeach
@endif
