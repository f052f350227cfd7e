<?php

declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';

$intakes = sys_get_temp_dir().'/luftig-intakes-'.getmypid();
// Not by a worker that was forked: it ends before the rest does.
register_shutdown_function(
    fn () => $intakes === sys_get_temp_dir().'/luftig-intakes-'.getmypid() && exec('rm -rf '.escapeshellarg($intakes)),
);

foreach ([
    'LUFTIG_INTAKES' => $intakes, 'LUFTIG_FINDER' => $intakes.'/finder', 'LUFTIG_WORLD' => $intakes.'/world',
    'APP_ENV' => 'testing', 'APP_KEY' => 'base64:'.base64_encode(str_repeat('k', 32)), 'APP_DEBUG' => 'true',
    'LUFTIG_DEMO' => 'true',
    'DB_CONNECTION' => 'mariadb', 'DB_HOST' => '127.0.0.1', 'DB_PORT' => getenv('LUFTIG_TEST_PORT') ?: '8431',
    'DB_DATABASE' => 'luftig'.getenv('LUFTIG_PART'), 'DB_USERNAME' => 'luftig', 'DB_PASSWORD' => '',
    'SESSION_DRIVER' => 'array', 'CACHE_STORE' => 'array', 'QUEUE_CONNECTION' => 'sync', 'LOG_CHANNEL' => 'null',
    'BCRYPT_ROUNDS' => '4',
] as $name => $value) {
    putenv("$name=$value");
    $_ENV[$name] = $_SERVER[$name] = $value;
}

// Parts that run beside each other have a base each.
if ((string) getenv('LUFTIG_PART') !== '') {
    (new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', ''))->exec(
        'CREATE DATABASE IF NOT EXISTS '.getenv('DB_DATABASE').' CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci',
    );
}
