<x-layout title="Sign in">
    <div class="sign-in">
        <div class="stack">
            <svg width="150" height="52" viewBox="0 0 36 13" fill="none" stroke="currentColor" class="pine" aria-hidden="true"><circle cx="3" cy="11" r="2" fill="currentColor" stroke="none"/><path d="M3 11H31M17 11l3.5-8M22 11l3.5-8M27 11l3.5-8M31 11l3.5-8" stroke-width="1" stroke-linecap="round"/></svg>
            <h1>Luftig</h1>
            <p class="soft">Whom to approach today, and what the reason is.</p>
            <form method="post" action="/sign-in" class="stack gap">
                @csrf
                <label class="field"><span>E-mail address</span><input name="email" type="email" autocomplete="username" required value="{{ old('email') }}"></label>
                <label class="field"><span>Password</span><input name="password" type="password" autocomplete="current-password" required></label>
                <x-wrong for="email" />
                <label><input type="checkbox" name="remember" value="1"> Stay signed in on this machine</label>
                <div><button class="button primary">Sign in</button></div>
            </form>
        </div>
        @if ($people->isNotEmpty())
            <div>
                <h2>Look around as …</h2>
                <p class="muted around">Blåsvik Metering and everybody in it are invented.</p>
                <form method="post" action="{{ route('sign-in.demo') }}">
                    @csrf
                    @foreach ($people as $person)
                        <button class="person-button" name="user" value="{{ $person->id }}"><span class="strong">{{ $person->name }}</span><span class="muted">{{ $person->role->value }}</span></button>
                    @endforeach
                </form>
            </div>
        @endif
    </div>
</x-layout>
