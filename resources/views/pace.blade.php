<x-layout title="My pace, my password" at="pace">
    <h1>My pace</h1>
    <x-form :to="route('pace.update')" method="patch" class="vstack gap-3 align-items-start measure-narrow mt-3">
        <p class="text-body-tertiary">How many good approaches you make on a day. Today plans so many, and no more.</p>
        <x-field label="Approaches a day" name="pace" type="number" min="1" max="100" required
            :value="old('pace', auth()->user()->pace)" />
        <x-button kind="primary">Keep</x-button>
    </x-form>
    <p class="text-body-tertiary">Your day begins at midnight in {{ str_replace('_', ' ', auth()->user()->time_zone) }};
        where you are is set under <a href="{{ route('alerts.index') }}">My alerts</a>.</p>
    <h2 class="mt-5">My next steps as a calendar</h2>
    <div class="vstack gap-2 measure-narrow mt-3">
        @if (session('address'))<p class="card card-body breaks"><span>Whoever has this address reads your next steps.
            It is shown this once:</span><code>{{ session('address') }}</code></p>@endif
        <p class="text-body-tertiary mb-0">Any calendar program can follow it, at an address of your own.
            @if ($address) Yours was made <x-ago :time="$address->made_at" />. @endif</p>
        <div class="hstack gap-2"><x-form :to="route('pace.address')"><x-button>{{ $address ? 'Another address'
            : 'Make my address' }}</x-button></x-form>
            @if ($address)<x-form :to="route('pace.end-address')" method="delete"><x-button>End it</x-button></x-form>
            @endif</div>
    </div>
    <h2 class="mt-5">My password</h2>
    <x-form :to="route('password.update')" method="put" class="vstack gap-3 align-items-start measure-narrow mt-3">
        <p class="text-body-tertiary">At least twelve characters, and none that many others take: some words that do not
            belong together are good ones.</p>
        @if (auth()->user()->password_until)<p class="mb-0">The one you were given lets you in until {{
            auth()->user()->password_until->format('j F') }}.</p>@endif
        <input hidden type="text" autocomplete="username" value="{{ auth()->user()->email }}" readonly
            aria-label="E-mail address">
        <x-field class="w-100" label="The password you have now" name="current" type="password" required
            autocomplete="current-password" />
        <x-field class="w-100" label="The new one" name="password" type="password" minlength="12" required
            autocomplete="new-password" hx-post="{{ route('password.strength') }}" hx-params="password"
            hx-trigger="input changed delay:200ms" hx-target="next .strength" hx-sync="this:replace" />
        <div class="strength w-100" aria-live="polite"></div>
        <x-field class="w-100" label="The new one again" name="password_confirmation" type="password" required
            autocomplete="new-password" />
        <x-button>Change the password</x-button>
    </x-form>
    <h2 class="mt-5">My second factor</h2>
    <p class="measure mt-3">{{ auth()->user()->second_factor === null ? 'Only your password lets you in.'
        : 'After your password you are asked for a code.' }} <a href="{{ route('second.edit') }}">{{
        auth()->user()->second_factor === null ? 'Ask for a code too' : 'Look at it' }}</a></p>
    <h2 class="mt-5">My tokens</h2>
    <p class="measure mt-3">A program of yours can read and write here for you. <a href="{{ route('tokens.index') }}">
        Tokens</a></p>
    @if ($signIns->all !== [])
        <h2 class="mt-5">Where I am signed in</h2>
        <div class="measure mt-3" data-sign-ins>
            @foreach ($signIns->all as $one)
                <div class="hstack gap-2 border-bottom py-2"><span class="breaks">{{ $one['what'] }}<br><span
                    class="small text-body-secondary">{{ $one['isThis'] ? 'here, now' : $one['when'] }}</span></span>
                    @unless ($one['isThis'])<x-form :to="route('sessions.destroy')" method="delete"
                        class="ms-auto"><x-button small name="which" :value="$one['mark']">End
                        it</x-button></x-form>@endunless</div>
            @endforeach
            @if (count($signIns->others()) > 1)<x-form :to="route('sessions.destroy')" method="delete"
                class="mt-2"><x-button small name="which" value="others">End all others</x-button></x-form>@endif
        </div>
    @endif
</x-layout>
