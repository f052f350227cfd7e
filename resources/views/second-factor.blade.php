<x-layout title="My second factor" at="pace">
    <x-back :to="route('pace.edit')">My pace, my password</x-back>
    <h1>My second factor</h1>
    @if ($codes = session('codes'))
        <div class="card card-body vstack gap-2 measure mt-3" role="status">
            <p class="mb-0"><strong>It is set up.</strong> Keep these codes on paper; each lets you in once if you lose
                your program. They are shown this once:</p>
            <p class="mb-0 font-monospace" data-codes>@foreach ($codes as $code){{ $code }}<br>@endforeach</p>
        </div>
    @endif
    @if ($user->second_factor !== null)
        <p class="measure mt-3">After your password you are asked for a code, since <x-ago
            :time="$user->second_factor_at" />. {{ App\Support\Format::count(count($user->recovery_codes ?? []), 'code')
            }} on paper left.</p>
        <x-form :to="route('second.destroy')" method="delete" class="vstack gap-3 align-items-start measure-narrow">
            <x-field label="Your password" name="current" type="password" required autocomplete="current-password" />
            <x-button kind="danger">Take it away</x-button>
        </x-form>
    @else
        <ol class="vstack gap-2 measure mt-3">
            <li>Take a program that shows codes for signing in, on your phone or on this machine, and add Luftig to it:
                type this key, or open <a class="text-decoration-underline" href="{{ $address }}">its address</a>.
                <p class="font-monospace my-1" data-secret>{{ $secret }}</p></li>
            <li>Type the six digits that it shows now, and your password.</li>
        </ol>
        <x-form :to="route('second.store')" class="vstack gap-3 align-items-start measure-narrow">
            <x-field label="The six digits" name="code" autocomplete="one-time-code" inputmode="numeric" maxlength="20"
                required />
            <x-field label="Your password" name="current" type="password" required autocomplete="current-password" />
            <x-button kind="primary">Set it up</x-button>
        </x-form>
    @endif
</x-layout>
