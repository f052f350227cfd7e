<?php

/** Router of PHP's own web server: files of public/ as they are, everything else to Laravel. */
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = __DIR__.'/public'.$path;

if ($path !== '/' && ! str_contains($path, '..') && is_file($file)) {
    $type = ['css' => 'text/css; charset=UTF-8', 'js' => 'text/javascript; charset=UTF-8', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2'][pathinfo($file, PATHINFO_EXTENSION)] ?? null;
    if ($type === null) {
        return false;
    }
    // The server itself says nothing of how long a file may be kept, and so every page would ask for all of them again. An address
    // that carries the file's mark, and a font, are never of another content.
    $lasts = isset($_SERVER['QUERY_STRING']) || str_ends_with($file, '.woff2');
    header("Content-Type: $type");
    header('Content-Length: '.filesize($file));
    header('X-Content-Type-Options: nosniff');
    header('Cache-Control: '.($lasts ? 'public, max-age=31536000, immutable' : 'no-cache'));
    $_SERVER['REQUEST_METHOD'] === 'HEAD' || readfile($file);

    return true;
}

require __DIR__.'/public/index.php';
