<?php

declare(strict_types=1);

namespace Tests\Browser;

use PDO;

/** deploy/ puts a version behind nginx and php-fpm; it is driven there, followed by another, and gone back from. */
final class DeploymentTest extends BrowserTestCase
{
    private static string $folder = '';

    private static string $at = '';

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::$folder = sys_get_temp_dir().'/luftig-deployed-'.getmypid();
        register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg(self::$folder).'*'));
    }

    public function test_it_is_deployed_driven_followed_by_another_version_and_gone_back_from(): void
    {
        $first = $this->deployed();
        self::assertSame(1, preg_match('/as (\S+) with the password (\S+) /', $first, $told), $first);
        $this->serve();

        $this->browser->get(self::$at.'/sign-in');
        $this->fill('input[name=email]', $told[1]);
        $this->fill('input[name=password]', $told[2]);
        $this->find('input[name=remember]')->click();
        $this->press('Sign in');
        $this->see('What we sell');
        $stays = $this->browser->manage()->getCookieNamed('__Host-luftig_stays');
        self::assertSame(
            [true, true, '/', '127.0.0.1'],
            [$stays?->isSecure(), $stays?->isHttpOnly(), $stays?->getPath(), $stays?->getDomain()],
        );
        $this->browser->get(self::$at.'/intake');
        $this->find('details summary')->click();
        $this->browser->executeScript(
            'document.querySelector("textarea[name=rows]").value = "Firma\tWebseite\nMoosglas\tmoosglas.example\n"',
        );
        $this->press('Look at it');
        $this->see('Of its 1 row, if you bring it in now:');
        $this->press('Bring it in');
        $this->see('Accounts, brought in');

        $release = readlink(self::$folder.'/current');
        [$second, $answers] = $this->whileItDeploys();
        self::assertNotSame($release, readlink(self::$folder.'/current'), $second);
        self::assertGreaterThan(20, array_sum($answers));
        self::assertSame([200], array_keys($answers), 'whoever asks meanwhile is answered');
        $this->moosglas();

        self::assertStringContainsString('Back to releases/', self::runs('deploy/deploy '.self::$folder.' --back'));
        self::assertSame($release, readlink(self::$folder.'/current'));
        $this->moosglas();
    }

    public function test_what_it_answers_is_small_kept_where_it_may_be_and_tells_nothing(): void
    {
        [$status, $head] = $this->asks('/sign-in', ['Accept-Encoding: gzip']);
        self::assertSame(200, $status);
        self::assertStringContainsString('content-encoding: gzip', $head);
        self::assertStringContainsString("content-security-policy: default-src 'self'", $head);
        self::assertDoesNotMatchRegularExpression('#php/|nginx/#', $head);
        self::assertStringContainsString('strict-transport-security: max-age=31536000', $head);
        self::assertSame(1, preg_match('/set-cookie: (__host-luftig=.+)/', $head, $cookie), $head);
        self::assertStringContainsString('; path=/; secure; httponly', $cookie[1]);
        self::assertStringNotContainsString('domain=', $cookie[1]);
        // What is not the newest protocol is spoken in ciphers only whose keys are of one connection.
        $old = [CURLOPT_SSLVERSION => CURL_SSLVERSION_MAX_TLSv1_2];
        self::assertSame(
            [200, 0, 0],
            array_map(
                fn (string $cipher): int => $this->asks('/up', [], $old + [CURLOPT_SSL_CIPHER_LIST => $cipher])[0],
                ['ECDHE-RSA-AES128-GCM-SHA256', 'AES128-GCM-SHA256', 'ECDHE-RSA-AES128-SHA'],
            ),
        );
        $css = $this->asks('/css/luftig.css?x', ['Accept-Encoding: gzip'])[1];
        self::assertStringContainsString('max-age=31536000, immutable', $css);
        self::assertStringContainsString('content-encoding: gzip', $css);
        self::assertStringContainsString('no-cache', $this->asks('/css/luftig.css')[1]);
        foreach (['/.env', '/../.env', '/index.php/x', '/storage/logs', '/server.php', '/composer.json', '/.git/config',
            '/artisan', '/metrics'] as $path) {
            self::assertContains($this->asks($path)[0], [302, 400, 404], $path);
        }
        self::assertSame(200, $this->asks('/metrics', ['Authorization: Bearer watched'])[0]);
        self::assertSame(400, $this->asks('/sign-in', ['Host: elsewhere.example'])[0], 'by no other name');
        self::assertSame('0640', substr(sprintf('%o', fileperms(self::$folder.'/shared/.env')), -4));
        self::assertFileDoesNotExist(self::$folder.'/current/vendor/phpunit');
    }

    /** The base of its own, and what is said when it is deployed into it the first time. */
    private function deployed(): string
    {
        $base = 'luftig_deployed'.getenv('LUFTIG_PART');
        $server = new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', '');
        $server->exec("DROP DATABASE IF EXISTS $base");
        $server->exec("CREATE DATABASE $base");
        $port = self::freePort();
        self::$at = "https://127.0.0.1:$port";
        [$certificate, $key] = $this->certificate();
        $user = (string) (posix_getpwuid(posix_geteuid())['name'] ?? 'root');
        $who = posix_geteuid() === 0 ? 'www-data' : $user;

        return self::runs('deploy/deploy '.self::$folder." --name=127.0.0.1 --listen=127.0.0.1:$port --user=$who "
            ."--certificate=$certificate --key=$key "
            .'--set DB_PORT='.getenv('DB_PORT')." --set DB_DATABASE=$base --set LUFTIG_METRICS_KEY=watched");
    }

    /** @return array{string, string} the files of one of its own, and of its key */
    private function certificate(): array
    {
        [$certificate, $file] = [self::$folder.'.crt', self::$folder.'.key'];
        $key = openssl_pkey_new(['private_key_bits' => 2048]);
        $asked = openssl_csr_new(['commonName' => '127.0.0.1'], $key);
        openssl_x509_export_to_file(openssl_csr_sign($asked, null, $key, 2), $certificate);
        openssl_pkey_export_to_file($key, $file);

        return [$certificate, $file];
    }

    private function serve(): void
    {
        $folder = self::$folder;
        file_put_contents("$folder/etc/whole.conf", implode("\n", [
            posix_geteuid() === 0 ? 'user www-data;' : '', "pid $folder/run/nginx.pid;", 'daemon off;',
            "error_log $folder/log/nginx.log;", 'events {}', 'http {', 'include /etc/nginx/mime.types;',
            "client_body_temp_path $folder/run/body;", "fastcgi_temp_path $folder/run/fastcgi;",
            "proxy_temp_path $folder/run/proxy;", "uwsgi_temp_path $folder/run/uwsgi;",
            "scgi_temp_path $folder/run/scgi;", "include $folder/etc/nginx.conf;", '}',
        ]));
        self::launch([self::found('php-fpm8.2'), '--fpm-config', "$folder/etc/php-fpm.conf"], $folder, getenv());
        self::launch([self::found('nginx'), '-c', "$folder/etc/whole.conf"], $folder, getenv());
        $unit = (string) file_get_contents("$folder/etc/systemd/luftig-worker@.service");
        self::assertSame(1, preg_match("/^ExecStart=\/bin\/sh -c '(.+)'$/m", $unit, $starts));
        $who = posix_geteuid() === 0 ? ['runuser', '-u', 'www-data', '--'] : [];
        self::launch([...$who, '/bin/sh', '-c', $starts[1]], $folder, ['PATH' => (string) getenv('PATH')]);
        self::listens((int) parse_url(self::$at, PHP_URL_PORT));
        // The one may be there before the other.
        for ($i = 0; $i < 10 * self::PATIENCE && $this->asks('/up')[0] !== 200; $i++) {
            usleep(100_000);
        }
    }

    /** @return array{string, array<int, int>} what is said, and how often what was answered meanwhile */
    private function whileItDeploys(): array
    {
        sleep(1);
        $process = proc_open(
            ['deploy/deploy', self::$folder, '--user='.(posix_geteuid() === 0 ? 'www-data' : get_current_user())],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, dirname(__DIR__, 2), ['PATH' => (string) getenv('PATH')]
                + self::plain(),
        );
        $answers = [];
        while (proc_get_status($process)['running']) {
            $status = $this->asks('/up')[0];
            $answers[$status] = ($answers[$status] ?? 0) + 1;
            usleep(20_000);
        }
        $said = stream_get_contents($pipes[1]).stream_get_contents($pipes[2]);
        proc_close($process);

        return [$said, $answers];
    }

    private function moosglas(): void
    {
        $this->browser->get(self::$at.'/accounts?tab=waiting');
        $this->see('Moosglas');
    }

    /**
     * @param  list<string>  $headers
     * @param  array<int, mixed>  $how
     * @return array{int, string} status and headers, in small letters
     */
    private function asks(string $path, array $headers = [], array $how = []): array
    {
        $asks = curl_init(self::$at.$path);
        curl_setopt_array($asks, $how + [
            CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_HTTPHEADER => $headers,
            CURLOPT_PATH_AS_IS => true, CURLOPT_TIMEOUT => self::PATIENCE,
        ]);
        $answer = (string) curl_exec($asks);
        $size = curl_getinfo($asks, CURLINFO_HEADER_SIZE);

        return [curl_getinfo($asks, CURLINFO_RESPONSE_CODE), strtolower(substr($answer, 0, $size))];
    }

    private static function found(string $program): string
    {
        return is_file("/usr/sbin/$program") ? "/usr/sbin/$program" : $program;
    }

    /** Without what tests set, so that the settings there are in force. @return array<string, string> */
    private static function plain(): array
    {
        return array_filter(
            getenv(),
            fn (string $name): bool => preg_match('/^(APP|DB|LUFTIG|SESSION|CACHE|QUEUE|LOG|BCRYPT)_/', $name) !== 1,
            ARRAY_FILTER_USE_KEY,
        );
    }

    private static function runs(string $command): string
    {
        $process = proc_open(
            ['bash', '-c', "$command 2>&1"], [1 => ['pipe', 'w']], $pipes, dirname(__DIR__, 2), self::plain(),
        );
        $said = (string) stream_get_contents($pipes[1]);
        self::assertSame(0, proc_close($process), $said);

        return $said;
    }
}
