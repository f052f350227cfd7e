{{-- When a watch runs. --}}
@props(['watch' => null])
@use('App\View\Lists\WatchPage')
<div class="row g-3">
    <x-field width="col-6" label="How often" name="rhythm" :options="WatchPage::RHYTHMS"
        :value="old('rhythm', $watch?->rhythm->value)" />
    <x-field width="col-6" label="If weekly, on" name="weekday" :options="WatchPage::WEEKDAYS"
        :value="old('weekday', $watch->weekday ?? 1)" />
    <x-field width="col-4" label="At the hour" name="hour" type="number" min="0" max="23"
        :value="old('hour', $watch->hour ?? 6)" />
    @if ($watch)<x-field width="col-8" label="Time zone" name="time_zone"
        :value="old('time_zone', $watch->time_zone)" />
    @else<x-field width="col-8" label="Time zone" name="time_zone" :value="config('app.timezone')"
        x-data="zone" />@endif
</div>
<x-tick name="mailed" value="1" :checked="$watch->mailed ?? true" label="Mail me who is new, when somebody is" />
