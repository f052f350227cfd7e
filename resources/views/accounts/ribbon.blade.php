@use('App\View\Account\Ribbon')
@use('App\View\Say')
@php
    $left = 190; $right = 1172; $top = 18; $curve = 56; $step = 29;
    $height = $top + $curve + 22 + $step * count($ribbon->wedges) + 26;
    $x = fn (float $day): float => round($left + ($right - $left) * ($day + Ribbon::BACK) / (Ribbon::BACK + Ribbon::AHEAD), 1);
    $y = fn (float $timing): float => round($top + $curve * (1 - $timing), 1);
    $path = fn (callable $which) => collect($ribbon->timing)->filter(fn ($t, $day) => $which($day))->map(fn ($t, $day) => $x($day).' '.$y($t))->implode('L');
@endphp
<svg class="ribbon" viewBox="0 0 1200 {{ $height }}" role="img" aria-label="Timing is {{ Say::part($standing->timing()) }} today; {{ $standing->act_by ? 'act by '.$standing->act_by->isoFormat('D MMMM') : 'no act-by day' }}. {{ count($ribbon->wedges) }} signals are drawn; they are listed under What happened.">
    <path d="M{{ $x(-Ribbon::BACK) }} {{ $y(0) }}L{{ $path(fn ($d) => true) }}L{{ $x(Ribbon::AHEAD) }} {{ $y(0) }}Z" fill="var(--dew)"/>
    <path d="M{{ $path(fn ($d) => $d <= 0) }}" fill="none" stroke="var(--pine)" stroke-width="2"/>
    <path d="M{{ $path(fn ($d) => $d >= 0) }}" fill="none" stroke="var(--pine)" stroke-width="2" stroke-dasharray="4 4"/>
    <text x="4" y="{{ $top + 28 }}" class="name" font-weight="600">Timing</text><text x="4" y="{{ $top + 44 }}">{{ Say::part($standing->timing()) }} today</text>
    @foreach ($ribbon->wedges as $i => $wedge)
        @php
            $middle = $top + $curve + 24 + $step * $i;
            $days = array_keys($wedge['thickness']);
            $half = fn ($day) => 9 * $wedge['thickness'][$day];
            $at = -$wedge['signal']->occurred_at->diffInSeconds(now()) / 86400;
            $up = collect($days)->map(fn ($d) => $x($d).' '.round($middle - $half($d), 1))->implode('L');
            $down = collect(array_reverse($days))->map(fn ($d) => $x($d).' '.round($middle + $half($d), 1))->implode('L');
            $colour = $wedge['against'] ? 'var(--plum)' : 'var(--pine)';
        @endphp
        <text x="4" y="{{ $middle + 4 }}" class="name">{{ \Illuminate\Support\Str::limit($wedge['signal']->title, 29, '…') }}<title>{{ $wedge['signal']->title }}</title></text>
        <path d="M{{ $up }}L{{ $down }}Z" fill="{{ $colour }}" fill-opacity=".8" stroke="{{ $colour }}" stroke-width=".7"/>
        @if ($at >= -Ribbon::BACK && $at <= Ribbon::AHEAD)<circle cx="{{ $x($at) }}" cy="{{ $middle }}" r="4" fill="var(--white)" stroke="{{ $colour }}" stroke-width="1.8"/>@endif
    @endforeach
    <path d="M{{ $x(0) }} 6V{{ $height - 22 }}" stroke="var(--ink)" stroke-width="1.3"/><text x="{{ $x(0) + 6 }}" y="13" class="name" font-weight="600">today</text>
    @if ($ribbon->actBy !== null && $ribbon->actBy >= -Ribbon::BACK && $ribbon->actBy <= Ribbon::AHEAD)
        <path d="M{{ $x($ribbon->actBy) }} 20V{{ $height - 22 }}" stroke="var(--rowan)" stroke-width="1.3"/>
        <text x="{{ $x($ribbon->actBy) - ($ribbon->actBy > 10 ? 6 : -6) }}" y="{{ abs($ribbon->actBy) < 8 ? 28 : 13 }}" class="actby" text-anchor="{{ $ribbon->actBy > 10 ? 'end' : 'start' }}">{{ $ribbon->actBy < 0 ? 'ran out' : 'act by' }} {{ $standing->act_by->isoFormat('D MMMM') }}</text>
    @endif
    @for ($day = -90; $day <= 120; $day += 30)@if ($day !== 0)<text x="{{ $x($day) }}" y="{{ $height - 6 }}" text-anchor="middle">{{ today()->addDays($day)->isoFormat('D MMM') }}</text>@endif @endfor
    @if ($ribbon->more > 0)<text x="4" y="{{ $height - 6 }}">and {{ $ribbon->more }} weaker</text>@endif
</svg>
