<x-layout title="Sign in">
    <div class="row g-4 justify-content-center pt-5">
        <div class="col-md-5 vstack gap-3">
            <x-mark width="150" />
            <h1>Luftig</h1>
            <p class="text-body-tertiary">Whom to approach today, and what the reason is.</p>
            <x-form to="/sign-in" class="vstack gap-3 align-items-start">
                <x-field class="w-100" label="E-mail address" name="email" type="email" autocomplete="username" required
                    :value="old('email')" />
                <x-field class="w-100" label="Password" name="password" type="password" autocomplete="current-password"
                    required />
                @if (config('luftig.sign_in_hours') === 0)<x-tick name="remember" value="1"
                    label="Stay signed in on this machine" />@endif
                <x-button kind="primary">Sign in</x-button>
            </x-form>
        </div>
        @if ($people->isNotEmpty())
            <div class="col-md-5">
                <h2>Look around as …</h2>
                <p class="text-body-secondary py-2">Blåsvik Metering and everybody in it are invented.</p>
                <x-form :to="route('sign-in.demo')" class="list-group">
                    @foreach ($people as $person)
                        <button class="list-group-item list-group-item-action hstack py-3" name="user"
                            value="{{ $person->id }}" data-person>
                            <strong>{{ $person->name }}</strong><span
                                class="ms-auto text-body-secondary">{{ $person->role->value }}</span></button>
                    @endforeach
                </x-form>
            </div>
        @endif
    </div>
</x-layout>
