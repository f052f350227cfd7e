{!! $digest->about() !!}

@foreach ($digest->lines() as $line)
- {!! $line !!}
@endforeach
@if ($digest->more() > 0)
… and {{ $digest->more() }} more.
@endif

All of them: {{ route('watches.show', $digest->watch) }}
