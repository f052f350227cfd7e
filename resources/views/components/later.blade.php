@props(['account', 'next'])
<dialog id="later-{{ $account->id }}" data-key="l" aria-label="Later: {{ $account->name }}">
    <form method="post" action="{{ route('decision.store', $account) }}" class="stack">
        @csrf
        <h2>Later: {{ $account->name }}</h2>
        <input type="hidden" name="decision" value="later"><input type="hidden" name="next" value="{{ $next }}">
        <label class="field"><span>Not before</span><input type="date" name="until" required min="{{ today()->addDay()->toDateString() }}" value="{{ today()->addWeek()->toDateString() }}"></label>
        <div class="buttons"><button class="button primary">Put it off</button><button class="button" type="button" data-close>Leave it</button></div>
    </form>
</dialog>
