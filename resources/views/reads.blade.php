@php $reading = App\View\Reading::of($text); @endphp
@if ($reading->mistake !== null)<span class="rowan">{{ $reading->mistake }}</span>
@elseif ($reading->words !== null)
    @if ($reading->phrases > 0)Any of {{ number_format($reading->phrases) }} phrases @else Reads as: {{ Illuminate\Support\Str::limit($reading->words, 400) }} @endif @foreach ($reading->hints as $hint)<br>{{ $hint }} @endforeach
@endif
