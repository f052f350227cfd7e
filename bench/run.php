<?php

declare(strict_types=1);

/*
 * Speed and memory as ratios measured in one run, on a database of its own that is gone afterwards.
 *   ./luftig bench [accounts] [signals] [contacts] [part: standings, finder, intake, feeds, paths or alike]
 * A million inputs without good intentions, to every parser and form, on the demo:
 *   ./luftig bench fuzz [inputs] [seed]
 * Each page of the demo, warm, in milliseconds and bytes; or of the demo among so many accounts more:
 *   ./luftig bench pages [accounts]
 * Whether pages that are shown again are what they would be, made anew, while forms are sent:
 *   ./luftig bench kept [forms] [seed]
 * And how good the ranking is, without a database:
 *   ./luftig bench judgement [worlds]
 */

use App\Finder\Indexes;
use App\Models\Offer;
use App\Standings\Standings;
use App\Support\KeyStatistics;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../tests/bootstrap.php';
require __DIR__.'/measure.php';
require __DIR__.'/judgement.php';

if (($argv[1] ?? null) === 'judgement') {
    judgement((int) ($argv[2] ?? 20));
    ended();
}
putenv('DB_DATABASE=luftig_bench');
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = 'luftig_bench';

$accounts = (int) ($argv[1] ?? 100_000);
$signals = (int) ($argv[2] ?? 2_000_000);
$contacts = (int) ($argv[3] ?? 1_000_000);
$part = $argv[4] ?? null;

// Of a base that is there already.
if (($argv[1] ?? null) === 'pages-of') {
    require __DIR__.'/pages.php';
    // As it runs for people: in tests each record is watched for what it loads late.
    putenv('APP_ENV=local');
    $_ENV['APP_ENV'] = $_SERVER['APP_ENV'] = 'local';
    (require __DIR__.'/../bootstrap/app.php')->make(Kernel::class)->bootstrap();
    config(['app.debug' => false]);
    pages((int) ($argv[2] ?? 30));
    ended();
}

$server = new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', '');
$server->exec('DROP DATABASE IF EXISTS luftig_bench');
$server->exec('CREATE DATABASE luftig_bench');
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
activity()->disableLogging();

if (($argv[1] ?? null) === 'fuzz') {
    require __DIR__.'/fuzz.php';
    Artisan::call('luftig:demo');
    fuzz((int) ($argv[2] ?? 1_000_000), (int) ($argv[3] ?? 1));
    ended();
}

if (($argv[1] ?? null) === 'kept') {
    require __DIR__.'/kept.php';
    Artisan::call('luftig:demo');
    KeyStatistics::refresh();
    kept((int) ($argv[2] ?? 1_000), (int) ($argv[3] ?? 1));
    ended();
}

if (($argv[1] ?? null) === 'pages') {
    $more = (int) ($argv[2] ?? 0);
    if ($more > 0) {
        require __DIR__.'/world.php';
        world($more, 10 * $more, 5 * $more);
    }
    Artisan::call('luftig:demo');
    if ($more > 0) {
        (new Standings)->all();
        Offer::query()->get()->each(Indexes::build(...));
    }
    KeyStatistics::refresh();
    // By a process that begins with nothing, as each page does: in one that holds what loading left behind, PHP looks
    // through all of that again and again, and the pages take twice as long.
    passthru(
        implode(' ', array_map(escapeshellarg(...), [
            PHP_BINARY, '-d', 'memory_limit=512M', '-d', 'opcache.enable_cli=1', __FILE__, 'pages-of',
            (string) ($more > 0 ? 100 : 30),
        ])), $code,
    );
    exit($code);
}

require __DIR__.'/world.php';
require __DIR__.'/standings.php';
require __DIR__.'/finder.php';
require __DIR__.'/intake.php';
require __DIR__.'/feeds.php';
require __DIR__.'/paths.php';
require __DIR__.'/alike.php';

printf(
    "%s accounts, %s signals, %s contacts\n",
    number_format($accounts),
    number_format($signals),
    number_format($contacts),
);
$part === 'feeds'
    || say(sprintf('A world to measure in: %.1f s', seconds(fn () => world($accounts, $signals, $contacts))));
in_array($part, ['intake', 'feeds', 'paths', 'alike'], true) || standings($accounts, $part !== 'finder');
in_array($part, [null, 'finder'], true) && finder();
in_array($part, [null, 'intake'], true) && intake($accounts);
in_array($part, [null, 'feeds'], true) && feeds($accounts);
in_array($part, [null, 'paths'], true) && paths();
in_array($part, [null, 'alike'], true) && alike($accounts);
DB::purge();
(new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', ''))->exec('DROP DATABASE luftig_bench');
ended();
