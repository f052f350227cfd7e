{{-- A page for those who are not signed in, or of which nothing else is known. --}}
@props(['title', 'text' => null])
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Luftig</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="{{ App\View\Asset::url('css/luftig.css') }}">
    <script src="{{ App\View\Asset::url('js/first-paint.js') }}"></script>
</head>
<body>
<main class="container py-5 vstack gap-3 align-items-start">
    <x-mark width="72" />
    <h1>{{ $title }}</h1>
    @if ($text)<p class="text-body-tertiary measure">{{ $text }}</p>
        <x-button kind="primary" href="/">To today</x-button>@endif
    {{ $slot }}
</main>
</body>
</html>
