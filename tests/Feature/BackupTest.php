<?php

declare(strict_types=1);

namespace Tests\Feature;

use PDO;
use PHPUnit\Framework\TestCase;

/** A Luftig of its own is started, backed up, changed and put back, by the commands that people type. */
final class BackupTest extends TestCase
{
    private string $folder = '';

    private int $port = 0;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/luftig-own-'.getmypid();
        mkdir("$this->folder/bootstrap", 0o755, true);
        $root = dirname(__DIR__, 2);
        foreach (['app', 'artisan', 'bin', 'composer.json', 'config', 'core', 'database', 'deploy', 'docs', 'luftig',
            'public', 'resources', 'routes', 'server.php', 'standins', '.env.example', 'bootstrap/app.php',
            'bootstrap/providers.php', 'bootstrap/compatibility.php'] as $part) {
            exec('cp -a '.escapeshellarg("$root/$part").' '.escapeshellarg("$this->folder/$part"));
        }
        exec('cp -a '.escapeshellarg("$root/vendor").' '.escapeshellarg("$this->folder/vendor"));
        [$web, $this->port, $outside] = [self::freePort(), self::freePort(), self::freePort()];
        file_put_contents("$this->folder/.env", "LUFTIG_PORT=$web\nAPP_URL=http://127.0.0.1:$web\n"
            ."DB_PORT=$this->port\nLUFTIG_STANDINS_PORT=$outside\n");
    }

    protected function tearDown(): void
    {
        $this->luftig('stop');
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    public function test_what_was_backed_up_is_put_back_and_a_file_that_breaks_off_changes_nothing(): void
    {
        self::assertStringContainsString('Luftig is running', $this->luftig('start --empty')[1]);
        $this->sql("INSERT INTO accounts (name, domain) VALUES ('Glasverk Tunhede', 'tunhede.example')");
        $this->sql("INSERT INTO activity_log (description) VALUES ('it was there')");
        $key = $this->key();
        self::assertSame(0, $this->luftig('backup kept.tar.gz')[0]);
        self::assertSame('0600', substr(sprintf('%o', (int) fileperms("$this->folder/kept.tar.gz")), -4));

        $this->sql("UPDATE accounts SET name = 'Another'");
        file_put_contents(
            "$this->folder/cut.tar.gz", substr((string) file_get_contents("$this->folder/kept.tar.gz"), 0, 9000),
        );
        [$code, $says] = $this->luftig('restore cut.tar.gz');
        self::assertSame([1, 'Another'], [$code, $this->glasverk()], $says);
        self::assertStringContainsString('no backup of Luftig, or not all of it', $says);

        [$code, $says] = $this->luftig('restore kept.tar.gz');
        self::assertSame(0, $code, $says);
        self::assertStringContainsString('Luftig is running', $says);
        self::assertSame(['Glasverk Tunhede', $key], [$this->glasverk(), $this->key()]);
        self::assertSame([0, 'No'], [$this->luftig('check')[0], $this->mayLogBeChanged()]);
        // What was there in its place was kept too, and goes back the same way.
        $before = glob("$this->folder/storage/backups/before-restore-*.tar.gz") ?: [];
        self::assertCount(1, $before);
        self::assertSame(0, $this->luftig("restore $before[0]")[0]);
        self::assertSame('Another', $this->glasverk());
    }

    /** The triggers that keep the log as it is come along. */
    private function mayLogBeChanged(): string
    {
        try {
            $this->sql("UPDATE activity_log SET description = 'it was not'");
        } catch (\PDOException) {
            return 'No';
        }

        return 'Yes';
    }

    private function glasverk(): string
    {
        return (string) $this->sql('SELECT name FROM accounts')->fetchColumn();
    }

    private function sql(string $statement): \PDOStatement
    {
        return (new PDO("mysql:host=127.0.0.1;port=$this->port;dbname=luftig", 'luftig', ''))->query($statement);
    }

    private function key(): string
    {
        preg_match('/^APP_KEY=(.+)$/m', (string) file_get_contents("$this->folder/.env"), $key);

        return $key[1] ?? '';
    }

    /** @return array{int, string} */
    private function luftig(string $says): array
    {
        $env = array_filter(
            getenv(),
            fn (string $name): bool => preg_match('/^(APP|DB|LUFTIG|SESSION|CACHE|QUEUE|LOG|BCRYPT)_/', $name) !== 1,
            ARRAY_FILTER_USE_KEY,
        );
        $process = proc_open(
            ['bash', '-c', "./luftig $says >said.txt 2>&1 </dev/null"], [], $pipes, $this->folder, $env,
        );
        $code = proc_close($process);

        return [$code, (string) file_get_contents("$this->folder/said.txt")];
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr($name, ':'), 1);
    }
}
