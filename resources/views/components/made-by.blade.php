@props(['steps'])
@foreach ($steps as [$condition, $asks])<strong>{{ $condition }}</strong> <span
    class="breaks">{{ $asks }}</span>{{ $loop->last ? '' : ' · ' }}@endforeach
