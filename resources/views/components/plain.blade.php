@props(['title', 'text'])
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Luftig</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/css/luftig.css">
    <script src="/js/theme.js"></script>
</head>
<body><main class="narrow" style="margin-top: 12vh"><h1>{{ $title }}</h1><p class="soft" style="margin: 12px 0 18px">{{ $text }}</p><a class="button primary" href="/">To today</a></main></body>
</html>
