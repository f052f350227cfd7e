@php
    $mistake = $read = null;
    try {
        $read = trim($text) === '' ? null : Luftig\Core\Text\Query::read($text);
    } catch (Luftig\Core\Text\QueryMistake $of) {
        $mistake = $of->inWords();
    }
    $phrases = count(Luftig\Core\Text\Query::pasted($text));
@endphp
@if ($mistake !== null)<span class="rowan">{{ $mistake }}</span>
@elseif ($read !== null)
    @if ($phrases > 0)Any of {{ number_format($phrases) }} phrases @else Reads as: {{ Illuminate\Support\Str::limit($read->readsAs(), 400) }} @endif @foreach ($read->hints as $hint)<br>{{ $hint }} @endforeach
@endif
