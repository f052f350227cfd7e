<div class="d-flex flex-wrap gap-2 mt-3">
    @if ($page->standing && ! $page->isKeptOut())
        <x-button kind="primary" key="r" :href="route('reasons.create', $page->account)">Record the reason</x-button>
    @endif
    @if (($page->is('kept') || $page->is('dropped')) && Gate::allows('delete', $page->decision))
        <x-form :to="route('decision.destroy', $page->account)" method="delete">
            <x-button>{{ $page->is('kept') ? 'No longer keep' : 'Undo the drop' }}</x-button></x-form>
    @endif
    @can('decide', $page->account)
        @foreach (['kept' => ['Keep', 'p'], 'dropped' => ['Drop', 'd']] as $value => [$label, $key])
            @unless ($page->is($value))
                <x-form :to="route('decision.store', $page->account)">
                    <input type="hidden" name="decision" value="{{ $value }}"><input type="hidden" name="next"
                        value="{{ $page->next() }}">
                    <x-button :$key>{{ $label }}, and next</x-button></x-form>
            @endunless
        @endforeach
        <x-button key="l" opens="later-{{ $page->account->id }}">Later</x-button>
    @endcan
    @can('update', $page->account)<x-button
        :href="route('accounts.edit', $page->account)">Correct</x-button>@endcan
    <x-button key="a" opens="collect">Add to a list</x-button>
    <x-button :href="route('alike', ['e' => $page->account->id])">More like this</x-button>
    <x-form :to="route('alerts.store')"><input type="hidden" name="about" value="account"><input type="hidden"
        name="account_id" value="{{ $page->account->id }}"><input type="hidden" name="ways[]" value="on_today">
        <x-button>Alert me</x-button></x-form>
    <x-button key="x" opens="out-{{ $page->account->id }}">Keep out</x-button>
</div>
<x-wrong :for="['decision', 'until', 'reason', 'taken', 'part', 'reports_to', 'kind', 'next_step', 'next_step_on']" />
