@props(['at', 'user', 'navigation', 'menu', 'offers', 'offer', 'pace', 'share'])
<header class="navbar navbar-expand-lg border-bottom">
    <div class="container flex-nowrap gap-3">
        <a class="navbar-brand font-figure fw-bold hstack gap-2 py-1" href="/"
            aria-label="Luftig, today"><x-mark />luftig</a>
        <div class="offcanvas-lg offcanvas-start flex-grow-1" tabindex="-1" id="screens" aria-label="Screens">
            <div class="offcanvas-header justify-content-end">
                <button class="btn-close" type="button" data-bs-dismiss="offcanvas" data-bs-target="#screens"
                    aria-label="Close"></button>
            </div>
            <nav class="offcanvas-body navbar-nav nav-pills" aria-label="Screens">
                @foreach ($navigation as $screen)
                    <a class="nav-link px-3 @if ($at === $screen->value) active @endif" href="{{ $screen->path() }}"
                        data-go="{{ $screen->key() }}" @if ($at === $screen->value) aria-current="page"
                            @endif>{{ $screen->label() }}</a>
                @endforeach
            </nav>
        </div>
        <a class="btn btn-sm btn-plain d-none d-lg-inline-flex align-items-center gap-4 text-body-secondary fw-normal"
            href="/go"
            aria-keyshortcuts="/" data-bs-toggle="modal" data-bs-target="#go" role="button">Go to… <kbd>/</kbd></a>
        <a class="d-none d-lg-flex align-items-center gap-2 text-body small text-nowrap" href="/pace"
            title="Approaches today, of your pace">
            <span class="fuse-pace"><x-progress :share="$share" label="Approaches today" /></span>{{ $pace }}</a>
        @if ($offers->count() > 1)
            <span class="d-none d-lg-block small text-body-secondary text-truncate"
                title="The offer you work for">{{ $offer?->name }}</span>
        @endif
        <button hidden type="button" aria-keyshortcuts="?" data-bs-toggle="modal" data-bs-target="#keys">Help</button>
        <div class="dropdown ms-auto">
            <a class="badge bg-body-secondary lh-lg fw-bold" href="/go" role="button" data-bs-toggle="dropdown"
                aria-expanded="false"
                aria-label="{{ $user->initials() }}, menu of {{ $user->name }}">{{ $user->initials() }}</a>
            <div class="dropdown-menu dropdown-menu-end p-2">
                <p class="dropdown-header px-2">{{ $user->name }}, {{ $user->role->value }}</p>
                @foreach ($menu as $screen)
                    <a class="dropdown-item rounded" href="{{ $screen->path() }}"
                        data-go="{{ $screen->key() }}">{{ $screen->label() }}</a>
                @endforeach
                @if ($offers->count() > 1)
                    <hr class="dropdown-divider">
                    <x-form :to="route('offer.choose')">
                        @foreach ($offers as $one)
                            <button class="dropdown-item rounded" name="offer" value="{{ $one->id }}"
                                @if ($one->is($offer)) aria-current="true" @endif>
                                {{ $one->name }} @if ($one->is($offer))<span class="text-body-secondary">·
                                    now</span>@endif</button>
                        @endforeach
                    </x-form>
                @endif
                <hr class="dropdown-divider">
                <button class="dropdown-item rounded" type="button" x-data="theme" @click="toggle">Dark or
                    light</button>
                <button class="dropdown-item rounded" type="button" data-bs-toggle="modal"
                    data-bs-target="#keys">Help, keys</button>
                <x-form :to="route('sign-out')"><button class="dropdown-item rounded">Sign out</button></x-form>
            </div>
        </div>
        <a class="btn btn-plain d-lg-none" href="/go" role="button" data-bs-toggle="offcanvas" data-bs-target="#screens"
            aria-controls="screens">Screens</a>
    </div>
</header>
