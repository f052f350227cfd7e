@foreach ($digest->accounts() as $account)
{!! $account['name'] !!}
@foreach ($account['signals'] as $signal)
- {!! $signal['says'] !!}
  {!! $signal['url'] !!}
@endforeach

@endforeach
@if ($digest->more() > 0)
… and {{ $digest->more() }} more.

@endif
Your alerts: {{ route('alerts.index') }}
