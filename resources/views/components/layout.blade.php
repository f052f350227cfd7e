@props(['title', 'at' => '', 'hints' => [], 'sorts' => false])
@php $asset = fn (string $file) => "/$file?".substr(sha1_file(public_path($file)), 0, 10); @endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta name="htmx-config" content='{"includeIndicatorStyles":false,"allowEval":false,"historyCacheSize":0}'>
    <title>{{ $title }} · Luftig</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="{{ $asset('css/luftig.css') }}">
    <script src="{{ $asset('js/theme.js') }}"></script>
    <script src="{{ $asset('vendor/htmx/htmx.min.js') }}" defer></script>
    @if ($sorts)<script src="{{ $asset('vendor/sortable/Sortable.min.js') }}" defer></script>@endif
    <script src="{{ $asset('js/luftig.js') }}" type="module"></script>
</head>
<body>
<a class="skip" href="#main">To the content</a>
@auth
    <header class="top">
        <a class="brand" href="/" aria-label="Luftig, today">
            <svg width="36" height="14" viewBox="0 0 36 14" fill="none" stroke="currentColor" class="pine" aria-hidden="true"><circle cx="3" cy="11" r="2.6" fill="currentColor" stroke="none"/><path d="M3 11H31M17 11l3.5-8M22 11l3.5-8M27 11l3.5-8M31 11l3.5-8" stroke-width="1.7" stroke-linecap="round"/></svg>
            luftig
        </a>
        <nav aria-label="Screens">
            @foreach (['today' => ['/', 'Today'], 'accounts' => ['/accounts', 'Accounts'], 'contacts' => ['/contacts', 'Contacts'], 'finder' => ['/finder', 'Finder'], 'lists' => ['/lists', 'Lists'], 'network' => ['/network', 'Network'], 'reasons' => ['/reasons', 'Reasons']] as $key => [$url, $name])
                <a href="{{ $url }}" @if ($at === $key) aria-current="page" @endif>{{ $name }}</a>
            @endforeach
        </nav>
        <button class="jump" type="button" data-open="go">Go to… <kbd>/</kbd></button>
        <a class="pace-bar" href="/pace" title="Approaches today, of your pace"><span class="meter"><i style="width: {{ min(100, 100 * ($approachesToday ?? 0) / max(1, auth()->user()->pace)) }}%"></i></span>{{ $approachesToday ?? 0 }} of {{ auth()->user()->pace }}</a>
        @if (count($offers ?? []) > 1)<span class="offer-name" title="The offer you work for">{{ $offer->name }}</span>@endif
        <details class="menu">
            <summary aria-label="{{ auth()->user()->initials() }}, menu of {{ auth()->user()->name }}">{{ auth()->user()->initials() }}</summary>
            <div class="card">
                <p class="small muted" style="padding: 0 8px 6px">{{ auth()->user()->name }}, {{ auth()->user()->role->value }}</p>
                <a href="/intake">Intake</a>
                <a href="/keep-out">Keep-out</a>
                <a href="/pace">My pace</a>
                @can('viewAny', App\Models\RuleSet::class)
                    <a href="/rules">Rules</a>
                    <a href="/team">Team</a>
                @endcan
                @if (count($offers ?? []) > 1)
                    <hr>
                    <form method="post" action="{{ route('offer.choose') }}">@csrf
                        @foreach ($offers as $one)
                            <button class="item" name="offer" value="{{ $one->id }}" @if ($one->is($offer)) aria-current="true" @endif>{{ $one->name }} @if ($one->is($offer))<span class="muted">· now</span>@endif</button>
                        @endforeach
                    </form>
                @endif
                <hr>
                <button class="item" type="button" data-theme-toggle>Dark or light</button>
                <button class="item" type="button" data-open="keys">Keys</button>
                <form method="post" action="{{ route('sign-out') }}">@csrf<button class="item">Sign out</button></form>
            </div>
        </details>
    </header>
@endauth
<main id="main" tabindex="-1">
    @if (session('said'))
        <div class="said" role="status"><span>{{ session('said') }}</span>
            @if (session('takeBack'))
                <form method="post" action="{{ session('takeBack') }}">@csrf @method('DELETE')<button class="button slight">Take it back</button></form>
            @endif
            @if (session('putBack'))
                <form method="post" action="{{ session('putBack.url') }}">@csrf @foreach (session('putBack.fields') as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach<button class="button slight">Put it back</button></form>
            @endif
        </div>
    @endif
    @if (session('warning'))<div class="warned" role="alert">{{ session('warning') }}</div>@endif
    {{ $slot }}
</main>
@auth
    <dialog id="go" aria-label="Go to">
        <label class="visually-hidden" for="go-q">An account, a contact or a screen</label>
        <input id="go-q" name="q" type="search" autocomplete="off" placeholder="An account, a contact or a screen" style="width: 100%" hx-get="{{ route('go') }}" hx-trigger="input changed delay:120ms" hx-target="#go-found" hx-sync="this:replace">
        <div id="go-found" class="found gap" aria-live="polite"></div>
    </dialog>
    <dialog id="keys" aria-labelledby="keys-title">
        <div class="spread"><h2 id="keys-title">Keys</h2><button class="button" type="button" data-close>Close</button></div>
        <div class="keys gap">
            <span><kbd>↑</kbd> <kbd>↓</kbd> or <kbd>K</kbd> <kbd>J</kbd></span><span>move</span>
            <span><kbd>Enter</kbd></span><span>open what is in focus</span>
            <span><kbd>Esc</kbd></span><span>close, or go back</span>
            <span><kbd>R</kbd></span><span>record a reason</span>
            <span><kbd>L</kbd></span><span>later</span>
            <span><kbd>X</kbd></span><span>keep out</span>
            <span><kbd>N</kbd></span><span>note</span>
            <span><kbd>P</kbd> <kbd>D</kbd></span><span>on an account: keep, drop</span>
            <span><kbd>←</kbd> <kbd>→</kbd></span><span>on an account: the one before, the next</span>
            <span><kbd>Shift</kbd> <kbd>↑</kbd> <kbd>↓</kbd></span><span>in a buying group: the part above, below</span>
            <span><kbd>/</kbd></span><span>go to any account, contact or screen</span>
            <span><kbd>G</kbd> then <kbd>T</kbd> <kbd>A</kbd> <kbd>C</kbd> <kbd>F</kbd> <kbd>L</kbd> <kbd>N</kbd> <kbd>R</kbd> <kbd>I</kbd> <kbd>K</kbd> <kbd>P</kbd> @can('viewAny', App\Models\RuleSet::class)<kbd>U</kbd> <kbd>E</kbd>@endcan</span><span>Today, Accounts, Contacts, Finder, Lists, Network, Reasons, Intake, Keep-out, My pace @can('viewAny', App\Models\RuleSet::class), Rules, Team @endcan</span>
        </div>
    </dialog>
@endauth
</body>
</html>
