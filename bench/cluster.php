<?php

declare(strict_types=1);

/*
 * Three machines of a database cluster, two of the web with a worker each, and Redis, all on loopback: each is killed
 * in turn while programs write, and begun again. Nothing may be lost or doubled, and whoever asks is answered soon.
 *   php bench/cluster.php [rounds]
 */

use Tests\OwnLuftig;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/measure.php';

/** The machines, by name. */
final class Cluster
{
    private const NODES = ['127.0.0.1', '127.0.0.2', '127.0.0.3'];

    private const WEBS = 2;

    /** @var array<string, resource> */
    private array $processes = [];

    private readonly int $maker;

    /** @param  array<string, int>  $ports */
    public function __construct(public readonly string $folder, private array $ports)
    {
        $this->maker = (int) getmypid();
        mkdir("$folder/log", 0o755, true);
    }

    /** @return list<string> what can be killed */
    public function names(): array
    {
        return ['db-0', 'db-1', 'db-2', 'redis', 'web-0', 'web-1', 'worker-0', 'worker-1'];
    }

    public function begin(): void
    {
        foreach (array_keys(self::NODES) as $i) {
            $data = "$this->folder/db-$i";
            exec("mariadb-install-db --no-defaults --datadir=$data --user=mysql "
                ."--auth-root-authentication-method=normal --skip-test-db >$this->folder/log/install-$i 2>&1");
            $this->run("db-$i", $i === 0);
            $this->answers("db-$i", 60);
            if ($i === 0) {
                $this->sql("CREATE DATABASE luftig; CREATE USER luftig@'%'; GRANT ALL ON luftig.* TO luftig@'%'");
            }
        }
        $this->run('redis');
        foreach (range(0, self::WEBS - 1) as $i) {
            $root = "$this->folder/web-$i";
            exec('mkdir -p '.escapeshellarg("$root/bootstrap"));
            foreach (OwnLuftig::PARTS as $part) {
                exec('cp -a '.escapeshellarg(dirname(__DIR__)."/$part").' '.escapeshellarg("$root/$part"));
            }
            exec("mkdir -p $root/bootstrap/cache $root/storage/framework/views $root/storage/framework/cache/data "
                ."$root/storage/framework/sessions $root/storage/logs $root/storage/app $this->folder/intakes");
            file_put_contents("$root/.env", implode("\n", [
                'APP_NAME=Luftig', 'APP_ENV=local', 'APP_KEY=base64:'.base64_encode(str_repeat('k', 32)),
                'APP_DEBUG=false', "APP_URL=http://127.0.0.1:{$this->ports["web-$i"]}", 'LUFTIG_DEMO=true',
                'DB_CONNECTION=mariadb', 'DB_HOST='.implode(',', self::NODES), "DB_PORT={$this->ports['db']}",
                'DB_DATABASE=luftig', 'DB_USERNAME=luftig', 'DB_PASSWORD=', 'SESSION_DRIVER=redis', 'CACHE_STORE=redis',
                'QUEUE_CONNECTION=redis', 'REDIS_CLIENT=predis', "REDIS_PORT={$this->ports['redis']}",
                'REDIS_QUEUE_RETRY_AFTER=4000', 'LOG_CHANNEL=single', "LUFTIG_INTAKES=$this->folder/intakes",
            ])."\n");
        }
        exec("cd $this->folder/web-0 && php artisan migrate --force 2>&1 && php -d memory_limit=512M artisan "
            .'luftig:demo 2>&1',
            $said, $code);
        $code === 0 || throw new RuntimeException(implode("\n", $said));
        foreach (range(0, self::WEBS - 1) as $i) {
            $this->run("web-$i");
            $this->run("worker-$i");
            $this->run("scheduler-$i");
        }
    }

    public function run(string $name, bool $isFirst = false): void
    {
        [$what, $i] = explode('-', "$name-0");
        $root = "$this->folder/web-$i";
        [$port, $command] = match ($what) {
            'db' => [null, $this->database((int) $i, $isFirst)],
            'redis' => [null, ['redis-server', '--port', (string) $this->ports['redis'], '--bind', '127.0.0.1', '--dir',
                $this->folder, '--appendonly', 'yes', '--appendfsync', 'always', '--save', '']],
            'web' => [null, ['php', '-d', 'opcache.enable_cli=1', '-d', 'memory_limit=512M', '-S',
                "127.0.0.1:{$this->ports[$name]}", '-t', 'public', 'server.php']],
            'worker' => [null, ['php', '-d', 'memory_limit=512M', 'artisan', 'queue:work', '--sleep=1', '--tries=5',
                '--timeout=3600']],
            default => [null, ['bash', '-c', 'while :; do php artisan schedule:run; sleep 20; done']],
        };
        $log = ['file', "$this->folder/log/$name", 'a'];
        $this->processes[$name] = proc_open(
            ['setsid', ...$command], [['file', '/dev/null', 'r'], $log, $log], $pipes,
            in_array($what, ['db', 'redis'], true) ? $this->folder : $root, ['PHP_CLI_SERVER_WORKERS' => '4',
                'PATH' => (string) getenv('PATH'), 'HOME' => '/tmp'],
        );
    }

    /** With SIGKILL, and all of it. */
    public function kill(string $name): void
    {
        $pid = proc_get_status($this->processes[$name])['pid'];
        posix_kill(-$pid, SIGKILL) || posix_kill($pid, SIGKILL);
        proc_close($this->processes[$name]);
    }

    public function end(): void
    {
        if (getmypid() !== $this->maker) {
            return;
        }
        foreach (array_reverse($this->processes) as $name => $process) {
            $this->kill($name);
        }
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    /** Waits until a machine answers. */
    public function answers(string $name, int $seconds = 60): void
    {
        [$what, $i] = explode('-', "$name-0");
        for ($until = microtime(true) + $seconds; microtime(true) < $until; usleep(100_000)) {
            if ($what === 'db') {
                try {
                    $state = $this->pdo((int) $i, 'root', '')
                        ->query("SHOW STATUS LIKE 'wsrep_local_state_comment'")->fetch();
                    if (($state[1] ?? '') === 'Synced') {
                        return;
                    }
                } catch (PDOException) {
                }
            } elseif (@fsockopen('127.0.0.1', $this->ports[$name])) {
                return;
            }
        }
        throw new RuntimeException("$name does not answer: ".shell_exec("tail -n 25 $this->folder/log/$name"));
    }

    public function pdo(int $node, string $user = 'luftig', string $base = 'luftig'): PDO
    {
        $at = 'mysql:host='.self::NODES[$node].";port={$this->ports['db']};dbname=$base";

        return new PDO($at, $user, '', [PDO::ATTR_TIMEOUT => 5]);
    }

    public function web(int $i): string
    {
        return "http://127.0.0.1:{$this->ports["web-$i"]}";
    }

    private function sql(string $statements): void
    {
        foreach (explode('; ', $statements) as $one) {
            $this->pdo(0, 'root', '')->exec($one);
        }
    }

    /** @return list<string> */
    private function database(int $i, bool $isFirst): array
    {
        $at = self::NODES[$i];
        [$group, $ist, $sst] = [$this->ports['group'], $this->ports['ist'], $this->ports['sst']];

        // Its rsync gives up the rights of root, so that root’s folders would be closed to it.
        return ['/usr/sbin/mariadbd', '--no-defaults', '--user=mysql', "--datadir=$this->folder/db-$i",
            "--bind-address=$at", "--port={$this->ports['db']}", "--socket=$this->folder/db-$i/server.sock",
            "--pid-file=$this->folder/db-$i/server.pid", '--character-set-server=utf8mb4',
            '--collation-server=utf8mb4_unicode_ci', '--default-time-zone=+00:00', '--local-infile=1',
            '--max-allowed-packet=64M', '--binlog-format=ROW', '--innodb-autoinc-lock-mode=2',
            '--innodb-buffer-pool-size=256M', '--innodb-flush-log-at-trx-commit=2', '--performance-schema=OFF',
            '--log-bin-trust-function-creators=1',
            '--wsrep-on=ON', '--wsrep-provider=/usr/lib/galera/libgalera_smm.so', '--wsrep-cluster-name=luftig',
            '--wsrep-cluster-address=gcomm://'.($isFirst ? '' : implode(',', array_map(
                fn (string $node): string => "$node:$group", self::NODES,
            ))),
            "--wsrep-node-address=$at", "--wsrep-node-name=db-$i", '--wsrep-sst-method=rsync',
            "--wsrep-sst-receive-address=$at:$sst",
            "--wsrep-provider-options=gmcast.listen_addr=tcp://$at:$group;ist.recv_addr=$at:$ist;gcache.size=256M;"
                .'evs.suspect_timeout=PT3S;evs.inactive_timeout=PT6S;pc.recovery=true'];
    }
}

$rounds = (int) ($argv[1] ?? 3);
$ports = ['db' => 33061, 'group' => 33067, 'ist' => 33068, 'sst' => 33069, 'redis' => 33070, 'web-0' => 33071,
    'web-1' => 33072];
$cluster = new Cluster(sys_get_temp_dir().'/luftig-cluster-'.getmypid(), $ports);
register_shutdown_function($cluster->end(...));
$took = seconds($cluster->begin(...));
say(sprintf('Three nodes, Redis, two webs and two workers are there after %.0f s.', $took));

$plain = bin2hex(random_bytes(20));
$cluster->pdo(0)->prepare('INSERT INTO personal_access_tokens (tokenable_type, tokenable_id, name, token, abilities) '
    ."SELECT ?, id, 'x', ?, ? FROM users WHERE role = 'lead' ORDER BY id LIMIT 1")
    ->execute(['App\Models\User', hash('sha256', $plain), '["read","accounts","contacts","reasons","lists"]']);

/** Asks one web, and where that does not answer the other, until it is done. @return float seconds it took */
$sends = function (string $path, array $say, string $key) use ($cluster, $plain): ?float {
    $begun = microtime(true);
    for ($try = 0; $try < 600; $try++) {
        $asks = curl_init($cluster->web($try % 2)."/api$path");
        curl_setopt_array($asks, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 15, CURLOPT_POSTFIELDS => json_encode($say),
            CURLOPT_HTTPHEADER => [
                "Authorization: Bearer $plain", 'Content-Type: application/json', "Idempotency-Key: $key",
            ],
        ]);
        $body = curl_exec($asks);
        $status = (int) curl_getinfo($asks, CURLINFO_RESPONSE_CODE);
        if ($body !== false && $status >= 200 && $status < 300) {
            return microtime(true) - $begun;
        }
        if ($status >= 400 && $status < 500 && ! in_array($status, [409, 429], true)) {
            file_put_contents("$cluster->folder/refused", "$status $body\n", FILE_APPEND);

            return null;
        }
        usleep(200_000);
    }

    return null;
};
$children = [];
foreach ([1, 2, 3] as $who) {
    $pid = pcntl_fork();
    if ($pid === 0) {
        for ($i = 0; ! is_file("$cluster->folder/enough"); $i++) {
            $took = $sends('/accounts', ['name' => "Kill $who-$i", 'domain' => "kill-$who-$i.example"], "$who-$i");
            $took === null || file_put_contents("$cluster->folder/done", "kill-$who-$i.example $took\n", FILE_APPEND);
        }
        posix_kill((int) getmypid(), SIGKILL);
    }
    $children[] = $pid;
}
for ($round = 0; $round < $rounds; $round++) {
    foreach ($cluster->names() as $name) {
        usleep(random_int(2_000_000, 4_000_000));
        $cluster->kill($name);
        usleep(random_int(2_000_000, 5_000_000));
        $cluster->run($name);
        str_starts_with($name, 'worker') || $cluster->answers($name, 120);
        say("$name was killed, and is back.");
    }
}
sleep(5);
touch("$cluster->folder/enough");
array_map(fn (int $child): int => pcntl_waitpid($child, $status), $children);

$done = array_map(
    fn (string $line): array => explode(' ', $line), file("$cluster->folder/done", FILE_IGNORE_NEW_LINES) ?: [],
);
$times = array_map(fn (array $one): float => (float) $one[1], $done);
sort($times);
say(sprintf(
    '%d writes were answered; the median took %.2f s, of 100 the slowest %.1f s, the slowest of all %.1f s.',
    count($done), $times[intdiv(count($times), 2)], $times[(int) (count($times) * .99)], end($times)));
limit('the slowest answer, in seconds', (float) end($times), 30);
foreach ([0, 1, 2] as $node) {
    $there = $cluster->pdo($node)
        ->query("SELECT domain, COUNT(*) FROM accounts WHERE domain LIKE 'kill-%' GROUP BY domain")
        ->fetchAll(PDO::FETCH_KEY_PAIR);
    $lost = count(array_filter($done, fn (array $one): bool => ! isset($there[$one[0]])));
    $twice = count(array_filter($there, fn (int|string $many): bool => (int) $many > 1));
    holds("node $node: $lost lost, $twice doubled of ".count($done), $lost + $twice === 0);
}
holds('nothing was refused', ! is_file("$cluster->folder/refused"));
exec("cd $cluster->folder/web-1 && php artisan luftig:check", $says, $code);
holds(implode(' ', $says), $code === 0);
ended();
