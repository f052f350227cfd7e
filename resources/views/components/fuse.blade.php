@props(['actBy', 'way' => null])
@php
    $days = $actBy === null ? null : (int) today()->diffInDays($actBy);
    $left = $days === null ? 0 : max(0, min(1, $days / 60));
    $words = \App\View\Say::hurry($actBy);
@endphp
<div class="fuse">
    @if ($way)<span class="way">{{ $way }}</span>@endif
    @if ($actBy !== null)<span class="bar" aria-hidden="true"><i style="width: {{ round(100 * $left) }}%"></i></span>@endif
    <span @class(['rowan' => $days !== null && $days >= 0 && $days <= 2]) @if ($actBy) title="{{ $actBy->isoFormat('D MMMM YYYY') }}" @endif>{{ $words }}</span>
</div>
