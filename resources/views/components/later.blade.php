@props(['account', 'next'])
<x-confirm id="later-{{ $account->id }}" title="Later: {{ $account->name }}" :to="route('decision.store', $account)"
    does="Put it off">
    <input type="hidden" name="decision" value="later"><input type="hidden" name="next" value="{{ $next }}">
    <x-field label="Not before" name="until" type="date" required :min="today()->addDay()->toDateString()"
        :value="today()->addWeek()->toDateString()" />
</x-confirm>
