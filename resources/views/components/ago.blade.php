@props(['time', 'short' => false])
<time class="text-nowrap" datetime="{{ $time->toIso8601ZuluString() }}"
    title="{{ App\Support\Format::moment($time) }}">{{
    $short ? App\Support\Format::short($time) : App\Support\Format::ago($time) }}</time>