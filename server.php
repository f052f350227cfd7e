<?php

/** Router of PHP's own web server: files of public/ as they are, everything else to Laravel. */
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if ($path !== '/' && ! str_contains($path, '..') && is_file(__DIR__.'/public'.$path)) {
    return false;
}

require __DIR__.'/public/index.php';
