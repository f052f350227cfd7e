<svg class="ribbon" viewBox="0 0 1200 {{ $height }}" role="img" aria-label="{{ $says }}">
    <path class="area" d="{{ $area() }}"/>
    <path class="curve" d="{{ $past() }}"/>
    <path class="curve" d="{{ $ahead() }}" stroke-dasharray="4 4"/>
    <text x="4" y="46" class="name" font-weight="600">Timing</text><text x="4" y="62">{{ $today() }}</text>
    @foreach ($wedges() as $wedge)
        <text x="4" y="{{ $wedge['y'] + 4 }}"
            class="name">{{ $wedge['text'] }}<title>{{ $wedge['title'] }}</title></text>
        <path class="wedge {{ $wedge['tone'] }}" d="{{ $wedge['path'] }}"/>
        @if ($wedge['at'] !== null)<circle class="{{ $wedge['tone'] }}" cx="{{ $wedge['at'] }}" cy="{{ $wedge['y'] }}"
            r="4"/>@endif
    @endforeach
    <path class="today" d="M{{ $x(0) }} 6V{{ $height - 22 }}"/>
    <text x="{{ $x(0) + 6 }}" y="13" class="name" font-weight="600">today</text>
    @if ($line = $actBy())
        <path class="act-by" d="M{{ $line['x'] }} 20V{{ $height - 22 }}"/>
        <text x="{{ $line['textX'] }}" y="{{ $line['textY'] }}" class="act-by"
            text-anchor="{{ $line['anchor'] }}">{{ $line['text'] }}</text>
    @endif
    @foreach ($months() as $day => $at)<text x="{{ $at }}" y="{{ $height - 6 }}"
        text-anchor="middle">{{ $day }}</text>@endforeach
    @if ($ribbon->more > 0)<text x="4" y="{{ $height - 6 }}">and {{ $ribbon->more }} weaker</text>@endif
</svg>
