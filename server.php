<?php

/** Router of PHP's own web server: files of public/ as they are, all else to Laravel; both in the smaller form. */
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = __DIR__.'/public'.$path;
$types = [
    'css' => 'text/css; charset=UTF-8', 'js' => 'text/javascript; charset=UTF-8', 'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2',
];

if ($path !== '/' && ! str_contains($path, '..') && is_file($file)) {
    $type = $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
    if ($type === null) {
        return false;
    }
    // The server itself says nothing of how long a file may be kept, and so every page would ask for all of them
    // again. An address that carries the file's mark, and a font, are never of another content.
    $lasts = isset($_SERVER['QUERY_STRING']) || str_ends_with($file, '.woff2');
    $smaller = is_file("$file.br") && preg_match('/\bbr\b/', $_SERVER['HTTP_ACCEPT_ENCODING'] ?? '') === 1;
    header("Content-Type: $type");
    header('X-Content-Type-Options: nosniff');
    header('Vary: Accept-Encoding');
    header('Cache-Control: '.($lasts ? 'public, max-age=31536000, immutable' : 'no-cache'));
    if ($smaller) {
        header('Content-Encoding: br');
        header('Content-Length: '.filesize("$file.br"));
    } elseif (str_ends_with($file, '.woff2')) {
        header('Content-Length: '.filesize($file));
    } else {
        ini_set('zlib.output_compression', '1');
    }
    $_SERVER['REQUEST_METHOD'] === 'HEAD' || readfile($smaller ? "$file.br" : $file);

    return true;
}

ini_set('zlib.output_compression', '1');
require __DIR__.'/public/index.php';
