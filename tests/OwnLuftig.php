<?php

declare(strict_types=1);

namespace Tests;

use PDO;
use PDOException;
use RuntimeException;

/** A whole Luftig in a folder and on ports of its own, started and stopped by the commands that people type. */
final class OwnLuftig
{
    public const PARTS = [
        'app', 'artisan', 'bin', 'composer.json', 'config', 'core', 'database', 'deploy', 'docs', 'luftig', 'public',
        'resources', 'routes', 'server.php', 'standins', 'vendor', '.env.example', 'bootstrap/app.php',
        'bootstrap/providers.php', 'bootstrap/compatibility.php',
    ];

    public readonly int $database;

    public readonly string $address;

    private readonly int $maker;

    private string $token = '';

    private ?string $cookies = null;

    public function __construct(public readonly string $folder)
    {
        $this->maker = getmypid() ?: 0;
        mkdir("$folder/bootstrap", 0o755, true);
        foreach (self::PARTS as $part) {
            // Nobody writes to packages; where it can be, they are the same files.
            [$from, $to] = [escapeshellarg(dirname(__DIR__)."/$part"), escapeshellarg("$folder/$part")];
            exec($part === 'vendor' ? "cp -al $from $to 2>/dev/null || cp -a $from $to" : "cp -a $from $to");
        }
        [$web, $this->database, $outside] = [self::freePort(), self::freePort(), self::freePort()];
        $this->address = "http://127.0.0.1:$web";
        file_put_contents("$folder/.env", "LUFTIG_PORT=$web\nAPP_URL={$this->address}\n"
            ."DB_PORT={$this->database}\nLUFTIG_STANDINS_PORT=$outside\n");
    }

    public function remove(): void
    {
        if (getmypid() === $this->maker && is_dir($this->folder)) {
            $this->says('stop');
            exec('rm -rf '.escapeshellarg($this->folder));
        }
    }

    /** @return array{int, string} how a command ends, and what it says */
    public function says(string $command): array
    {
        $env = array_filter(
            getenv(),
            fn (string $name): bool => preg_match('/^(APP|DB|LUFTIG|SESSION|CACHE|QUEUE|LOG|BCRYPT)_/', $name) !== 1,
            ARRAY_FILTER_USE_KEY,
        );
        $said = "$this->folder/said-".getmypid().'.txt';
        $process = proc_open(
            ['bash', '-c', "./luftig $command >".escapeshellarg($said).' 2>&1 </dev/null'], [], $pipes, $this->folder,
            $env,
        );

        return [proc_close($process), trim((string) file_get_contents($said))];
    }

    /** Until it runs, however often it has to be told. */
    public function start(string $how = ''): string
    {
        for ($try = 0; $try < 5; $try++) {
            [$code, $says] = $this->says("start $how");
            if ($code === 0) {
                return $says;
            }
        }
        throw new RuntimeException("It does not start: $says");
    }

    public function pdo(): PDO
    {
        return new PDO("mysql:host=127.0.0.1;port={$this->database};dbname=luftig", 'luftig', '');
    }

    /** @return array<string, int> of a statement that says how many of what */
    public function counts(string $statement): array
    {
        return array_map(intval(...), $this->pdo()->query($statement)->fetchAll(PDO::FETCH_KEY_PAIR));
    }

    /**
     * Asks as a program of the lead's; 0 where nobody answered.
     *
     * @param  array<string, mixed>  $say
     * @return array{int, string}
     */
    public function api(string $method, string $path, array $say, string $key): array
    {
        if ($this->token === '' && ! is_file("$this->folder/token")) {
            $plain = bin2hex(random_bytes(20));
            $made = $this->pdo()->prepare('INSERT INTO personal_access_tokens (tokenable_type, tokenable_id, name, '
                ."token, abilities) SELECT ?, id, 'x', ?, ? FROM users WHERE role = 'lead' ORDER BY id LIMIT 1");
            $made->execute(['App\Models\User', hash('sha256', $plain),
                '["read","accounts","contacts","reasons","lists"]']);
            file_put_contents("$this->folder/token", $plain);
        }
        $this->token = (string) file_get_contents("$this->folder/token");

        return $this->curl($this->address."/api$path", [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => (string) json_encode($say),
            CURLOPT_HTTPHEADER => ["Authorization: Bearer {$this->token}", 'Content-Type: application/json',
                "Idempotency-Key: $key"],
        ]);
    }

    /** Brings a file in through the pages, as often as it takes. @return int the number of its intake */
    public function upload(string $name, string $rows): int
    {
        $path = "$this->folder/$name";
        file_put_contents($path, $rows);
        while (true) {
            $known = $this->tries("SELECT id FROM intakes WHERE name = '$name' AND state <> 'draft'");
            if ($known !== null) {
                return $known;
            }
            $draft = $this->tries("SELECT id FROM intakes WHERE name = '$name'");
            $draft === null
                ? $this->form('/intake', ['file' => new \CURLFile($path, 'text/csv', $name)])
                : $this->form("/intake/$draft/start", ['kind' => 'accounts', 'columns[0]' => 'domain',
                    'columns[1]' => 'name', 'columns[2]' => 'headcount'], "/intake/$draft");
            usleep(200_000);
        }
    }

    /** How far an intake is; one that stopped is gone on with. */
    public function intake(int $id): string
    {
        try {
            $state = (string) $this->pdo()->query("SELECT state FROM intakes WHERE id = $id")->fetchColumn();
        } catch (PDOException) {
            return '';
        }
        if ($state === 'stopped') {
            $this->form("/intake/$id/resume", [], "/intake/$id");
        }

        return $state;
    }

    /** Asks a feed, and lets every watch run and everything be computed anew. */
    public function stir(bool $all): void
    {
        $feed = $this->tries('SELECT id FROM feeds WHERE deleted_at IS NULL ORDER BY RAND() LIMIT 1');
        $feed === null || $this->form("/feeds/$feed/run", [], "/feeds/$feed");
        if ($all) {
            try {
                $this->watch();
                $this->pdo()->exec('UPDATE accounts SET stale = 1');
            } catch (PDOException) {
            }
        }
    }

    /** Lets every watch run at the next minute. */
    public function watch(): void
    {
        $this->pdo()->exec('UPDATE watches SET next_at = UTC_TIMESTAMP()');
    }

    /**
     * With SIGKILL: the worker at work, the web server with all of it, or the database.
     *
     * @return bool whether it was there
     */
    public function kill(string $what): bool
    {
        $group = (int) @file_get_contents("$this->folder/storage/run/$what.pid");
        if ($group === 0) {
            return false;
        }
        if ($what !== 'worker') {
            return posix_kill(-$group, SIGKILL);
        }
        // What begins it anew stays.
        $inner = (int) trim((string) shell_exec("pgrep -P $group -x php"));

        return $inner > 0 && posix_kill($inner, SIGKILL);
    }

    /** Waits until nothing is left to do. */
    public function settle(int $seconds = 900): void
    {
        for ($until = time() + $seconds; time() < $until; sleep(2)) {
            if ($this->tries('SELECT COUNT(*) FROM watches WHERE next_at <= UTC_TIMESTAMP()') !== 0) {
                continue;
            }
            $open = $this->tries("SELECT COUNT(*) FROM intakes WHERE state NOT IN ('draft', 'done', 'undone')");
            $stopped = $this->tries("SELECT id FROM intakes WHERE state = 'stopped' LIMIT 1");
            $stopped === null || $this->intake($stopped);
            if ($open === 0 && $this->tries('SELECT COUNT(*) FROM accounts WHERE stale = 1') === 0) {
                return;
            }
        }
        throw new RuntimeException('It does not come to rest.');
    }

    private function tries(string $statement): ?int
    {
        try {
            $found = $this->pdo()->query($statement)->fetchColumn();

            return $found === false ? null : (int) $found;
        } catch (PDOException) {
            return null;
        }
    }

    /** @param  array<string, mixed>  $fields */
    private function form(string $to, array $fields, string $from = '/intake'): void
    {
        if ($this->cookies === null || ! str_contains($this->curl($this->address.$from)[1], 'Sign out')) {
            $this->cookies = "$this->folder/cookies-".getmypid();
            @unlink($this->cookies);
            $who = $this->tries("SELECT id FROM users WHERE role = 'lead' ORDER BY id LIMIT 1");
            $token = $this->tokenOf($this->curl($this->address.'/sign-in')[1]);
            $this->curl($this->address.'/sign-in/demo', [CURLOPT_POSTFIELDS => ['_token' => $token, 'user' => $who]]);
        }
        $token = $this->tokenOf($this->curl($this->address.$from)[1]);
        $this->curl($this->address.$to, [CURLOPT_POSTFIELDS => ['_token' => $token] + $fields]);
    }

    private function tokenOf(string $page): string
    {
        return preg_match('/name="_token" value="([^"]+)"/', $page, $found) === 1 ? $found[1] : '';
    }

    /**
     * @param  array<int, mixed>  $options
     * @return array{int, string}
     */
    private function curl(string $url, array $options = []): array
    {
        $asks = curl_init($url);
        curl_setopt_array($asks, $options + [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 30,
        ] + ($this->cookies === null || str_contains($url, '/api/') ? [] : [
            CURLOPT_COOKIEFILE => $this->cookies, CURLOPT_COOKIEJAR => $this->cookies,
        ]));
        $body = curl_exec($asks);
        $status = (int) curl_getinfo($asks, CURLINFO_RESPONSE_CODE);
        curl_close($asks);

        return [is_string($body) ? $status : 0, (string) $body];
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = $socket === false ? '' : (string) stream_socket_get_name($socket, false);
        $socket === false || fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }
}
