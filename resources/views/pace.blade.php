<x-layout title="My pace, my password" at="pace">
    <h1>My pace</h1>
    <x-form :to="route('pace.update')" method="patch" class="vstack gap-3 align-items-start measure-narrow mt-3">
        <p class="text-body-tertiary">How many good approaches you make on a day. Today plans so many, and no more.</p>
        <x-field label="Approaches a day" name="pace" type="number" min="1" max="100" required
            :value="old('pace', auth()->user()->pace)" />
        <x-button kind="primary">Keep</x-button>
    </x-form>
    <h2 class="mt-5">My password</h2>
    <x-form :to="route('password.update')" method="put" class="vstack gap-3 align-items-start measure-narrow mt-3">
        <p class="text-body-tertiary">At least ten characters, and none that many others take: some words that do not
            belong together are good ones.</p>
        <input hidden type="text" autocomplete="username" value="{{ auth()->user()->email }}" readonly
            aria-label="E-mail address">
        <x-field label="The password you have now" name="current" type="password" required
            autocomplete="current-password" />
        <x-field label="The new one" name="password" type="password" minlength="10" required
            autocomplete="new-password" />
        <x-field label="The new one again" name="password_confirmation" type="password" required
            autocomplete="new-password" />
        <x-button>Change the password</x-button>
    </x-form>
</x-layout>
