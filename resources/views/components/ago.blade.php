@props(['time', 'short' => false])
<time datetime="{{ $time->toIso8601ZuluString() }}" title="{{ $time->isoFormat('D MMMM YYYY, HH:mm') }} UTC">{{ $short ? \App\Screens\Say::short($time) : \App\Screens\Say::ago($time) }}</time>
