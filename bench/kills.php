<?php

declare(strict_types=1);

/*
 * Workers, web servers and the database of a Luftig of its own are killed (SIGKILL) at random moments while programs
 * write, files come in, feeds are asked and everything is computed anew. Nothing may be lost, doubled or half there.
 *   php bench/kills.php [kills] [seed]
 */

use Tests\OwnLuftig;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/measure.php';

$kills = (int) ($argv[1] ?? 1000);
mt_srand((int) ($argv[2] ?? 1));
$luftig = new OwnLuftig(sys_get_temp_dir().'/luftig-kills-'.getmypid());
register_shutdown_function($luftig->remove(...));
say($luftig->start());
$begun = microtime(true);

// --- Those who write, each a process of its own that notes what it was told is done ------------------------------

/** Sends until it is answered. @return array<string, mixed> what the answer holds */
$sends = function (string $method, string $path, array $say, string $key) use ($luftig): array {
    for ($try = 0; $try < 2000; $try++) {
        [$status, $body] = $luftig->api($method, $path, $say, $key);
        if (str_contains($body, '.php') || str_contains($body, 'SQLSTATE')) {
            file_put_contents("$luftig->folder/traces", "$method $path: $body\n", FILE_APPEND);
        }
        if ($status >= 200 && $status < 300) {
            return (array) json_decode($body, true);
        }
        if ($status >= 400 && $status < 500 && ! in_array($status, [409, 429], true)) {
            file_put_contents("$luftig->folder/refused", "$method $path: $status $body\n", FILE_APPEND);

            return [];
        }
        usleep(200_000);
    }

    return [];
};
$goesOn = fn (): bool => ! is_file("$luftig->folder/enough");
$notes = fn (string $what, string $which) => file_put_contents("$luftig->folder/$what", "$which\n", FILE_APPEND);

$writes = function (int $who) use ($sends, $goesOn, $notes): void {
    for ($i = 0; $goesOn(); $i++) {
        $of = "w$who-$i";
        $account = $sends('POST', '/accounts', ['name' => "Kill $of", 'domain' => "kill-$of.example", 'headcount' => 90,
            'industry' => 'C23'], "$of-a")['data']['id'] ?? null;
        if ($account === null) {
            continue;
        }
        $notes('accounts', "kill-$of.example");
        $signal = $sends('POST', "/accounts/$account/signals", ['kind' => 'funding', 'date' => date('Y-m-d'),
            'title' => "Signal $of"], "$of-s")['data']['id'] ?? null;
        $signal === null || $notes('signals', "Signal $of");
        $contact = $sends('POST', "/accounts/$account/contacts", ['first_name' => 'Ida', 'last_name' => "Of $of",
            'title' => 'Maintenance Manager', 'email' => "ida@kill-$of.example"], "$of-c")['data']['id'] ?? null;
        $contact === null || $notes('contacts', "Of $of");
        $approach = $sends('POST', "/accounts/$account/approaches", ['kind' => 'email', 'contact' => $contact,
            'next_step' => "Step $of", 'next_step_on' => date('Y-m-d', time() + 86400)], "$of-p")['data']['id'] ?? null;
        if ($approach !== null) {
            $notes('approaches', "Step $of");
            $sends('PUT', "/approaches/$approach/result", ['result' => 'bounced'], "$of-r") === []
                || $notes('results', "Step $of");
        }
        $sends('POST', '/lists', ['name' => "List $of", 'on' => 'accounts', 'members' => [$account]], "$of-l") === []
            || $notes('lists', "List $of");
    }
};

$brings = function () use ($luftig, $goesOn, $notes): void {
    for ($i = 0; $goesOn(); $i++) {
        $domains = array_map(fn (int $n): string => "file-$i-$n.example", range(1, 5000));
        $rows = "domain;name;headcount\n".implode('', array_map(fn (string $d): string => "$d;Of $d;50\n", $domains));
        $intake = $luftig->upload("file-$i.csv", $rows);
        $notes('files', "$intake $i");
        while ($goesOn() && $luftig->intake($intake) !== 'done') {
            usleep(500_000);
        }
    }
};

$stirs = function () use ($luftig, $goesOn): void {
    for ($i = 0; $goesOn(); $i++) {
        $luftig->stir($i % 3 === 0);
        sleep(2);
    }
};

$sends('POST', '/watches', ['name' => 'Killed', 'on' => 'accounts', 'c' => [['f' => 'name', 'q' => 'kill']],
    'rhythm' => 'daily', 'hour' => 6, 'time_zone' => 'UTC', 'mailed' => true], 'watch');

$children = [];
foreach ([fn () => $writes(1), fn () => $writes(2), $brings, $stirs] as $child) {
    $pid = pcntl_fork();
    if ($pid === 0) {
        register_shutdown_function(fn () => posix_kill(getmypid(), SIGKILL));
        $child();
        exit(0);
    }
    $children[] = $pid;
}

// --- The kills ---------------------------------------------------------------------------------------------------

$killed = ['worker' => 0, 'web' => 0, 'mariadb-app' => 0];
while (array_sum($killed) < $kills) {
    usleep(mt_rand(50_000, 1_200_000));
    $victim = ['worker', 'worker', 'web', 'web', 'mariadb-app'][mt_rand(0, 4)];
    if ($luftig->kill($victim)) {
        $killed[$victim]++;
        $victim === 'worker' || $luftig->start();
    }
    if (array_sum($killed) % 50 === 0) {
        say(sprintf('%d kills in %.0f s', array_sum($killed), microtime(true) - $begun));
    }
}
touch("$luftig->folder/enough");
foreach ($children as $child) {
    pcntl_waitpid($child, $status);
}
$luftig->start();

// --- What must hold ----------------------------------------------------------------------------------------------

$luftig->settle();
$luftig->watch();
$luftig->settle();
say(sprintf(
    '%d kills (%d of a worker, %d of the web server, %d of the database) in %.0f s.', array_sum($killed),
    $killed['worker'], $killed['web'], $killed['mariadb-app'], microtime(true) - $begun,
));
$read = fn (string $what): array => is_file("$luftig->folder/$what")
    ? array_filter(explode("\n", (string) file_get_contents("$luftig->folder/$what"))) : [];
foreach ([
    'accounts' => ['accounts', 'domain'], 'signals' => ['signals', 'title'], 'contacts' => ['contacts', 'last_name'],
    'approaches' => ['approaches', 'next_step'], 'lists' => ['lists', 'name'],
] as $what => [$table, $column]) {
    $there = $luftig->counts("SELECT $column, COUNT(*) FROM $table GROUP BY $column");
    $told = $read($what);
    $lost = count(array_filter($told, fn (string $one): bool => ! isset($there[$one])));
    $twice = count(array_filter($told, fn (string $one): bool => ($there[$one] ?? 0) > 1));
    holds(sprintf('%d %s that were answered: %d lost, %d doubled', count($told), $what, $lost, $twice),
        $lost + $twice === 0);
}
$results = $luftig->counts("SELECT next_step, COUNT(*) FROM approaches WHERE result = 'bounced' GROUP BY next_step");
$lost = count(array_diff($read('results'), array_keys($results)));
holds(sprintf('%d results that were answered: %d lost', count($read('results')), $lost), $lost === 0);
// A record that is found twice by one watch would break a key.
$found = $luftig->counts('SELECT domain, 1 FROM watch_finds JOIN accounts ON id = record_id');
$lost = count(array_diff($read('accounts'), array_keys($found)));
holds(sprintf('%d newcomers of a watch: %d of those answered lost', count($found), $lost), $lost === 0);
[$runs, $queued] = array_values($luftig->counts("SELECT 'runs', COUNT(DISTINCT found_at) FROM watch_finds WHERE why IS "
    ."NOT NULL UNION SELECT 'queued', COUNT(*) FROM jobs WHERE payload LIKE '%WatchDigest%'"));
$told = substr_count((string) @file_get_contents("$luftig->folder/storage/logs/mail.log"), 'Subject: Killed');
// One that was killed between sending and noting it stands in both, and goes out again after an hour.
holds("$runs runs of it with newcomers: $told mails went out, $queued wait", $told + $queued >= $runs
    && $told <= $runs);
$rows = $luftig->counts("SELECT SUBSTRING_INDEX(domain, '-', 2), COUNT(*) FROM accounts WHERE domain LIKE 'file-%' "
    .'GROUP BY 1');
$half = array_filter($rows, fn (int|string $many): bool => (int) $many !== 5000);
holds(sprintf('%d files of 5,000 rows that came in: %d half there', count($rows), count($half)), $half === []
    && count($rows) === count($read('files')));
holds('no answer shows its inside', $read('traces') === []);
$refused = $read('refused');
holds(
    count($refused).' requests refused that should not be: '.implode(' ', array_slice($refused, 0, 2)), $refused === [],
);
[$code, $says] = $luftig->says('check');
holds("./luftig check: $says", $code === 0);
ended();
