<x-layout title="My tokens" at="pace">
    <x-back :to="route('pace.edit')">My pace, my password</x-back>
    <h1>My tokens</h1>
    <p class="text-body-tertiary mt-2 measure">With a token a program of yours asks and says for you what you may ask
        and say here. <a href="{{ route('api.description') }}">What there is to ask</a>, as OpenAPI.</p>
    @if ($token = session('token'))
        <div class="card card-body breaks measure mt-3" role="status"><span>Whoever has this token acts as you. It is
            shown this once:</span><code data-token>{{ $token }}</code></div>
    @endif
    <div class="measure mt-3" data-tokens>
        @foreach ($page->tokens() as $one)
            <div class="hstack gap-2 border-bottom py-2"><span class="breaks">{{ $one['name'] }}<br><span
                class="small text-body-secondary">{{ $one['says'] }}</span></span>
                <x-form :to="route('tokens.destroy', $one['id'])" method="delete" class="ms-auto"><x-button small
                    aria-label="End the token {{ $one['name'] }}">End it</x-button></x-form></div>
        @endforeach
    </div>
    <h2 class="mt-5">A new one</h2>
    <x-form :to="route('tokens.store')" class="card card-body vstack gap-3 mt-3 measure">
        <x-field label="What it is for" name="name" required maxlength="100" :value="old('name')"
            placeholder="Nightly copy into our books" />
        <x-field label="It holds for" name="days" :options="$days" :value="old('days', '90')" />
        <x-scopes legend="It may" :$scopes :ticked="['read']" />
        <x-button kind="primary" class="align-self-start">Make it</x-button>
    </x-form>
</x-layout>
