<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\OwnLuftig;

/** What the commands that people type do to a Luftig of its own, as its pages show it. */
final class CommandsTest extends BrowserTestCase
{
    private OwnLuftig $luftig;

    protected function setUp(): void
    {
        parent::setUp();
        $this->luftig = new OwnLuftig(sys_get_temp_dir().'/luftig-own-'.getmypid());
    }

    protected function tearDown(): void
    {
        $this->luftig->remove();
    }

    public function test_a_base_of_one_s_own_is_kept_put_back_and_taken_elsewhere(): void
    {
        $lead = $this->begins();
        foreach (['.env' => '0600', 'storage/run/made' => '0700'] as $secret => $mode) {
            self::assertSame($mode, $this->mode($secret));
        }
        $this->goes('/accounts');
        $this->press('Add an account');
        $this->fill('input[name=name]', 'Glasverk Tunhede');
        $this->fill('input[name=domain]', 'tunhede.example');
        $this->keys(WebDriverKeys::ENTER);
        $this->see('Glasverk Tunhede is added.');
        $key = $this->key();
        $this->does('backup kept.tar.gz');
        self::assertSame('0600', $this->mode('kept.tar.gz'));

        $this->goes('/accounts/1');
        $this->press('Correct');
        $this->fill('input[name=name]', 'Glasverk Nyby');
        $this->press('Keep');
        $this->see('Glasverk Nyby');
        file_put_contents(
            "{$this->luftig->folder}/cut.tar.gz",
            substr((string) file_get_contents("{$this->luftig->folder}/kept.tar.gz"), 0, 9000),
        );
        [$code, $says] = $this->luftig->says('restore cut.tar.gz');
        self::assertSame(1, $code, $says);
        self::assertStringContainsString('no backup of Luftig, or not all of it', $says);
        $this->isCalled('Glasverk Nyby');

        self::assertStringContainsString('Luftig is running', $this->does('restore kept.tar.gz'));
        $this->isCalled('Glasverk Tunhede');
        $this->does('check');
        self::assertSame('No', $this->mayLogBeChanged());
        // What was there in its place was kept too, and goes back the same way.
        $before = glob("{$this->luftig->folder}/storage/backups/before-restore-*.tar.gz") ?: [];
        self::assertCount(1, $before);
        $this->does("restore $before[0]");
        $this->isCalled('Glasverk Nyby');

        self::assertStringContainsString('Luftig is running', $this->does('key'));
        self::assertNotSame($key, $this->key());
        self::assertSame($key, $this->key('APP_PREVIOUS_KEYS'), 'what it sealed and hashed is known');
        $this->goes('/accounts/1');
        $this->find('input[name=password]');
        // A backup goes back to its keys, both of them.
        $this->does('restore kept.tar.gz');
        self::assertSame([$key, ''], [$this->key(), $this->key('APP_PREVIOUS_KEYS')]);

        self::assertMatchesRegularExpression('/lines? of \d+ tables/', $this->does('export all.zip'));
        $this->does('reset');
        $this->begins();
        $this->does('import all.zip');
        self::assertSame(1, preg_match('/with the password (\S+) /', $this->does("password $lead"), $given));
        $this->comesIn($lead, $given[1]);
        $this->isCalled('Glasverk Tunhede');
    }

    /** @return string the address of who may do everything */
    private function begins(): string
    {
        $said = $this->luftig->start('--empty');
        self::assertStringContainsString('Luftig is running', $said);
        self::assertSame(1, preg_match('/as (\S+) with the password (\S+) /', $said, $told), $said);
        $this->comesIn($told[1], $told[2]);

        return $told[1];
    }

    private function comesIn(string $address, string $password): void
    {
        $this->goes('/sign-in');
        $this->fill('input[name=email]', $address);
        $this->fill('input[name=password]', $password);
        $this->press('Sign in');
        $this->find('header nav');
    }

    private function isCalled(string $name): void
    {
        $this->goes('/accounts/1');
        $this->see($name);
    }

    private function goes(string $path): void
    {
        $this->browser->get($this->luftig->address.$path);
    }

    /** @return string what a command says that goes well */
    private function does(string $command): string
    {
        [$code, $says] = $this->luftig->says($command);
        self::assertSame(0, $code, $says);

        return $says;
    }

    /** The triggers that keep the log as it is come along. */
    private function mayLogBeChanged(): string
    {
        $base = $this->luftig->pdo();
        self::assertGreaterThan(0, $base->query('SELECT COUNT(*) FROM activity_log')->fetchColumn());
        try {
            $base->exec("UPDATE activity_log SET description = 'it was not'");
        } catch (\PDOException) {
            return 'No';
        }

        return 'Yes';
    }

    private function mode(string $file): string
    {
        return substr(sprintf('%o', (int) fileperms("{$this->luftig->folder}/$file")), -4);
    }

    private function key(string $name = 'APP_KEY'): string
    {
        preg_match("/^$name=(.+)$/m", (string) file_get_contents("{$this->luftig->folder}/.env"), $key);

        return $key[1] ?? '';
    }
}
