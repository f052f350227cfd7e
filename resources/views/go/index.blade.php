<x-layout title="Go to">
    <h1>Go to</h1>
    <x-form method="get" :to="route('go')" class="hstack gap-2 mt-3" role="search">
        <x-field hidden label="An account, a contact, a list or a screen" name="q" id="q" type="search"
            :value="$text" /><x-button kind="primary">Find</x-button>
    </x-form>
    <div class="list-group list-group-flush measure mt-3" role="listbox"
        aria-label="What is called so">@include('go.results')</div>
    <x-form :to="route('sign-out')" class="mt-4"><x-button>Sign out</x-button></x-form>
</x-layout>
