<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Tests\OwnLuftig;

/** A Luftig of its own is started, backed up, changed and put back, by the commands that people type. */
final class BackupTest extends TestCase
{
    private OwnLuftig $luftig;

    protected function setUp(): void
    {
        $this->luftig = new OwnLuftig(sys_get_temp_dir().'/luftig-own-'.getmypid());
    }

    protected function tearDown(): void
    {
        $this->luftig->remove();
    }

    public function test_what_was_backed_up_is_put_back_and_a_file_that_breaks_off_changes_nothing(): void
    {
        self::assertStringContainsString('Luftig is running', $this->luftig->start('--empty'));
        foreach (['.env' => '0600', 'storage/run/made' => '0700'] as $secret => $mode) {
            self::assertSame($mode, substr(sprintf('%o', (int) fileperms("{$this->luftig->folder}/$secret")), -4));
        }
        $this->sql("INSERT INTO accounts (name, domain) VALUES ('Glasverk Tunhede', 'tunhede.example')");
        $this->sql("INSERT INTO activity_log (description) VALUES ('it was there')");
        $key = $this->key();
        self::assertSame(0, $this->luftig->says('backup kept.tar.gz')[0]);
        self::assertSame('0600', substr(sprintf('%o', (int) fileperms("{$this->luftig->folder}/kept.tar.gz")), -4));

        $this->sql("UPDATE accounts SET name = 'Another'");
        file_put_contents(
            "{$this->luftig->folder}/cut.tar.gz",
            substr((string) file_get_contents("{$this->luftig->folder}/kept.tar.gz"), 0, 9000),
        );
        [$code, $says] = $this->luftig->says('restore cut.tar.gz');
        self::assertSame([1, 'Another'], [$code, $this->glasverk()], $says);
        self::assertStringContainsString('no backup of Luftig, or not all of it', $says);

        [$code, $says] = $this->luftig->says('restore kept.tar.gz');
        self::assertSame(0, $code, $says);
        self::assertStringContainsString('Luftig is running', $says);
        self::assertSame(['Glasverk Tunhede', $key], [$this->glasverk(), $this->key()]);
        self::assertSame([0, 'No'], [$this->luftig->says('check')[0], $this->mayLogBeChanged()]);
        // What was there in its place was kept too, and goes back the same way.
        $before = glob("{$this->luftig->folder}/storage/backups/before-restore-*.tar.gz") ?: [];
        self::assertCount(1, $before);
        self::assertSame(0, $this->luftig->says("restore $before[0]")[0]);
        self::assertSame('Another', $this->glasverk());

        [$code, $says] = $this->luftig->says('key');
        self::assertSame(0, $code, $says);
        self::assertStringContainsString('Luftig is running', $says);
        self::assertNotSame($key, $this->key());
        self::assertSame($key, $this->key('APP_PREVIOUS_KEYS'), 'what it sealed and hashed is known');
        // A backup goes back to its keys, both of them.
        self::assertSame(0, $this->luftig->says('restore kept.tar.gz')[0]);
        self::assertSame([$key, ''], [$this->key(), $this->key('APP_PREVIOUS_KEYS')]);
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
        return $this->luftig->pdo()->query($statement);
    }

    private function key(string $name = 'APP_KEY'): string
    {
        preg_match("/^$name=(.+)$/m", (string) file_get_contents("{$this->luftig->folder}/.env"), $key);

        return $key[1] ?? '';
    }
}
