<x-layout title="Ask {{ $page->introducer() }}" at="network">
    <x-back :to="route('contacts.show', $page->contact)">{{ $page->contact->name() }}</x-back>
    <h1 class="breaks">Ask {{ $page->introducer() }} for an introduction</h1>
    <p class="text-body-tertiary mt-1">{{ $page->way() }}, {{ $page->contact->account->name }}</p>
    <x-form :to="route('asks.store', $page->contact)" class="vstack gap-3 measure mt-3">
        <input type="hidden" name="path" value="{{ is_array(old('path')) ? $page->path : old('path', $page->path) }}">
        <x-field label="The request" name="request" lines="8" required maxlength="3000"
            :value="old('request', $page->request)" />
        <x-field label="What can be passed on" name="forward" lines="5" required maxlength="3000"
            :value="old('forward', $page->forward)" />
        <x-field label="Remind me on" name="remind_on" type="date" :value="old('remind_on', $page->remindOn())" />
        <div class="hstack gap-2"><x-button kind="primary">Write it down</x-button>
            <x-button :href="route('contacts.show', $page->contact)">Leave it</x-button></div>
    </x-form>
</x-layout>
