<x-layout title="My pace" at="pace">
    <h1>My pace</h1>
    <x-form :to="route('pace.update')" method="patch" class="vstack gap-3 align-items-start measure-narrow mt-3">
        <p class="text-body-tertiary">How many good approaches you make on a day. Today plans so many, and no more.</p>
        <x-field label="Approaches a day" name="pace" type="number" min="1" max="100" required
            :value="old('pace', auth()->user()->pace)" />
        <x-button kind="primary">Keep</x-button>
    </x-form>
</x-layout>
