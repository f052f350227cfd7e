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
    <script src="{{ $asset('js/first-paint.js') }}"></script>
    <script src="{{ $asset('vendor/bootstrap/bootstrap.bundle.min.js') }}" defer></script>
    <script src="{{ $asset('vendor/htmx/htmx.min.js') }}" defer></script>
    <script src="{{ $asset('js/app.js') }}" type="module"></script>
    @stack('scripts')
</head>
<body x-data="keys" @keydown.window="press">
<a class="skip" href="#main">To the content</a>
@if ($user)
    <x-layout.top :$at :$user :navigation="$navigation()" :menu="$menu()" :$offers :$offer :$pace :share="$share()" />
@endif
<main id="main" class="container pt-3 pb-5" tabindex="-1">
    @if (session('warning'))<p class="alert alert-danger mb-3" role="alert">{{ session('warning') }}</p>@endif
    {{ $slot }}
</main>
<x-toast :said="session('said')" :undo="session('undo')" />
@if ($user)
    <x-modal id="go" title="Go to" bare>
        <x-go-field />
    </x-modal>
    <x-modal id="keys" title="Help">
        @if ($help() !== [])
            <h3 class="fs-6">{{ $title }}</h3>
            <ul class="ps-3 mb-3">@foreach ($help() as $line)<li>{{ $line }}</li>@endforeach</ul>
        @endif
        <h3 class="fs-6">Keys</h3>
        <dl class="row gy-2 align-items-center">
            @foreach ($keys() as $does => $pressed)
                <dt class="col-5"><x-key :of="$pressed" /></dt><dd class="col-7 mb-0">{{ $does }}</dd>
            @endforeach
        </dl>
    </x-modal>
@endif
</body>
</html>
