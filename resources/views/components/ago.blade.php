@props(['time', 'short' => false])
<time class="text-nowrap" datetime="{{ $time->toIso8601ZuluString() }}" title="{{ App\View\Say::moment($time) }}">{{
    $short ? App\View\Say::short($time) : App\View\Say::ago($time) }}</time>