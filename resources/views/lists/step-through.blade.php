<x-layout title="Through {{ $page->list->name }}" at="lists">
    <x-back :to="route('lists.show', $page->list)">{{ $page->list->name }}</x-back>
    <x-heading title="Step through" :about="$page->progress">
        @if ($page->kept > 0)<x-form :to="route('lists.steps.keep', $page->list)">
            <x-button>{{ $page->keep() }}</x-button></x-form>@endif
    </x-heading>
    <div class="measure mt-3">
        @if ($page->card)
            <x-record :card="$page->card" :to="route('lists.steps.decide', $page->list)" field="keep" yes="Keep"
                no="Drop" />
            <div class="d-flex flex-wrap gap-3 mt-3">
                <x-form :to="route('notes.store', $page->card->account())" class="d-flex gap-2 flex-grow-1">
                    @if ($page->card->contact())<input type="hidden" name="contact_id"
                        value="{{ $page->card->contact() }}">@endif
                    <x-field hidden class="flex-grow-1" label="A note" name="text" aria-keyshortcuts="n"
                        required maxlength="5000" placeholder="A note on {{ $page->card->name }} (N)" />
                    <x-button>Keep the note</x-button></x-form>
                @if ($page->others !== [])
                    <x-form :to="route('lists.steps.add', $page->list)" class="d-flex gap-2">
                        <input type="hidden" name="record" value="{{ $page->card->id }}">
                        <x-field hidden label="Another list" name="to" :options="$page->others" /><x-button>Add to that
                            list</x-button></x-form>
                @endif
            </div>
        @elseif ($page->next)
            <p class="text-body-tertiary mb-2">The next of the list is no longer in the base.</p>
            <x-form :to="route('lists.steps.decide', $page->list)"><input type="hidden" name="record"
                value="{{ $page->next }}">
                <x-button key="d" name="keep" value="0">Go on <kbd>D</kbd></x-button></x-form>
        @else<x-empty>{{ $page->isEmpty ? 'The list is empty.' : 'All are decided.' }}</x-empty>@endif
    </div>
</x-layout>
