{!! $watch->name !!}: {{ count($why) }} new since {{ $since->setTimezone($watch->time_zone)->isoFormat('dddd D MMMM, HH:mm') }}.

@foreach ($records as $record)
- {!! $record instanceof App\Models\Contact ? collect([$record->name(), $record->title, $record->account->name])->filter()->implode(', ') : $record->name !!}: {!! $why[$record->id] !!}
@endforeach
@if (count($why) > count($records))
… and {{ count($why) - count($records) }} more.
@endif

All of them: {{ route('watches.show', $watch) }}
