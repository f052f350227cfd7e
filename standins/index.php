<?php

declare(strict_types=1);

use Luftig\StandIns\Faults;
use Luftig\StandIns\Server;
use Luftig\StandIns\World;

/** Router of PHP's own web server. */
require dirname(__DIR__).'/vendor/autoload.php';

$folder = getenv('LUFTIG_WORLD') ?: dirname(__DIR__).'/storage/app/world';
$clock = getenv('LUFTIG_CLOCK_FILE') ?: dirname(__DIR__).'/storage/framework/clock';
$now = is_file($clock) ? (int) strtotime(trim((string) file_get_contents($clock))) : time();
$server = new Server(
    new World($folder, $now),
    new Faults("$folder/faults.json", (int) (getenv('LUFTIG_SLOW') ?: 120)),
    'http://'.($_SERVER['HTTP_HOST'] ?? '127.0.0.1'),
);
$answer = $server->answer(
    (string) $_SERVER['REQUEST_METHOD'],
    (string) $_SERVER['REQUEST_URI'],
    (string) ($_SERVER['HTTP_IF_NONE_MATCH'] ?? ''),
    (string) file_get_contents('php://input', length: 100_000),
    (string) ($_SERVER['HTTP_IDEMPOTENCY_KEY'] ?? ''),
);
http_response_code($answer->status);
header_remove('X-Powered-By');
foreach ($answer->headers as $name => $value) {
    header("$name: $value");
}
if ($answer->wait > 0) {
    usleep((int) (1_000_000 * $answer->wait));
}
echo $answer->body;
