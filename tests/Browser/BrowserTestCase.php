<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use PDO;
use PHPUnit\Framework\TestCase;

/** The real interface, in a real browser, on a database of its own with the demo data and a clock that stands still. */
abstract class BrowserTestCase extends TestCase
{
    protected const NOW = '2026-11-23T09:00:00Z';

    /** So many seconds a condition may take, on a machine that has other things to do. */
    protected const PATIENCE = 30;

    /** Milliseconds until it is looked at again, at first and at most. */
    private const PAUSES = [20, 320];

    /** With the demo data, or with none and somebody who begins. */
    protected const DEMO = true;

    private const DATABASE = 'luftig_browser';

    /** @var list<resource> */
    private static array $processes = [];

    /** @var array<string, string> database → address */
    private static array $addresses = [];

    private static string $address = '';

    /** @var array<string, string> */
    private static array $env = [];

    /** @var list<string> */
    private static array $clocks = [];

    /** @var array<string, list<array<string, mixed>>> address and name → cookies */
    private static array $signedIn = [];

    /** What was said when the base was made. */
    protected static string $said = '';

    private static ?RemoteWebDriver $driver = null;

    protected RemoteWebDriver $browser;

    public static function setUpBeforeClass(): void
    {
        $database = self::DATABASE.getenv('LUFTIG_PART').(static::DEMO ? '' : '_empty');
        self::$address = self::$addresses[$database] ?? '';
        if (self::$address !== '') {
            return;
        }
        $root = dirname(__DIR__, 2);
        $port = self::freePort();
        $clock = sys_get_temp_dir()."/luftig-clock-$database-".getmypid();
        file_put_contents($clock, static::NOW);
        $server = new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', '');
        $server->exec("DROP DATABASE IF EXISTS $database");
        $server->exec("CREATE DATABASE $database");
        $env = [
            'APP_ENV' => 'local', 'APP_URL' => "http://127.0.0.1:$port", 'APP_DEBUG' => 'false',
            'DB_DATABASE' => $database, 'LUFTIG_DEMO' => static::DEMO ? 'true' : 'false',
            'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'file',
            'LUFTIG_CACHE' => getenv('LUFTIG_INTAKES')."/cache-$database",
            'QUEUE_CONNECTION' => 'database', 'LOG_CHANNEL' => 'single', 'LUFTIG_CLOCK_FILE' => $clock,
            'PHP_CLI_SERVER_WORKERS' => '3', 'LUFTIG_STANDINS_PORT' => (string) self::freePort(),
            'LUFTIG_WORLD' => getenv('LUFTIG_INTAKES')."/world-$database",
            // Worked out once, as it is by the command that starts the program.
            'APP_CONFIG_CACHE' => getenv('LUFTIG_INTAKES')."/$database-config.php",
            'APP_ROUTES_CACHE' => getenv('LUFTIG_INTAKES')."/$database-routes.php",
            'APP_EVENTS_CACHE' => getenv('LUFTIG_INTAKES')."/$database-events.php",
        ] + getenv();
        self::$env = $env;
        is_dir((string) getenv('LUFTIG_INTAKES')) || mkdir((string) getenv('LUFTIG_INTAKES'));
        foreach (['optimize --except=views', 'migrate --force', 'luftig:demo'] as $command) {
            self::$said = self::artisan($command);
        }
        self::launch(
            [
                'php', '-d', 'opcache.enable_cli=1', '-d', 'upload_max_filesize=128M', '-d', 'post_max_size=130M', '-S',
                "127.0.0.1:$port", '-t', 'public', 'server.php',
            ],
            $root,
            $env,
        );
        self::launch(
            ['php', '-d', 'opcache.enable_cli=1', 'artisan', 'queue:work', '--sleep=0.2'], $root, $env,
        );
        self::launch(['php', '-S', "127.0.0.1:{$env['LUFTIG_STANDINS_PORT']}", 'standins/index.php'], $root, $env);
        self::listens($port);
        self::$addresses[$database] = self::$address = "http://127.0.0.1:$port";
        self::$clocks[] = $clock;
        if (self::$driver === null) {
            self::drive($root);
        }
    }

    private static function drive(string $root): void
    {
        $driverPort = self::freePort();
        self::launch(['chromedriver', "--port=$driverPort", '--silent'], $root, self::$env);
        self::listens($driverPort);

        $profile = sys_get_temp_dir().'/luftig-chromium-'.getmypid();
        $options = (new ChromeOptions)->setBinary('/usr/lib/chromium/chromium-headless-shell')->addArguments([
            '--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--no-first-run',
            '--disable-features=BackForwardCache,PaintHolding,RenderDocument',
            // Less of what costs time and shows nothing here: movement, and a process of its own for drawing.
            '--force-prefers-reduced-motion', '--in-process-gpu',
            "--user-data-dir=$profile", '--window-size=1280,900',
        ]);
        // The same engine without a window's trappings: a page costs half the processor's time.
        $wants = DesiredCapabilities::chrome()->setBrowserName('chrome-headless-shell');
        $wants->setCapability(ChromeOptions::CAPABILITY, $options);
        // Nobody vouches for a certificate that is made here.
        $wants->setCapability('acceptInsecureCerts', true);
        self::$driver = RemoteWebDriver::create("http://127.0.0.1:$driverPort", $wants, 30_000, 120_000);
        register_shutdown_function(static function () use ($profile): void {
            try {
                self::$driver?->quit();
            } catch (WebDriverException) {
            }
            foreach (array_reverse(self::$processes) as $process) {
                $pid = proc_get_status($process)['pid'];
                posix_kill(-$pid, SIGTERM) || posix_kill($pid, SIGTERM);
                proc_close($process);
            }
            array_map(unlink(...), array_filter(self::$clocks, is_file(...)));
            exec('rm -rf '.escapeshellarg($profile));
        });
    }

    /** What goes wrong with a source of the outside world from now on; null: nothing. */
    protected static function fault(string $source, ?string $fault): void
    {
        $to = 'http://127.0.0.1:'.self::$env['LUFTIG_STANDINS_PORT']."/faults/$source?fault=$fault";
        file_get_contents($to, false, stream_context_create(['http' => [
            'method' => $fault === null ? 'DELETE' : 'PUT', 'ignore_errors' => true,
        ]]));
    }

    protected static function outside(string $path): string
    {
        return 'http://127.0.0.1:'.self::$env['LUFTIG_STANDINS_PORT']."/$path";
    }

    /** What it says. */
    protected static function artisan(string $command): string
    {
        $set = implode(' ', array_map(
            fn (string $key, string $value): string => $key.'='.escapeshellarg($value),
            array_keys(self::$env),
            self::$env,
        ));
        exec(
            'cd '.escapeshellarg(dirname(__DIR__, 2))." && $set php -d memory_limit=512M -d "
                ."opcache.enable_cli=1 artisan $command 2>&1",
            $output,
            $code,
        );
        self::assertSame(0, $code, implode("\n", array_slice($output, -5)));

        return implode("\n", $output);
    }

    /** Moves the clock that stands still. */
    protected static function itIs(string $time): void
    {
        file_put_contents(self::$env['LUFTIG_CLOCK_FILE'], $time);
    }

    /** What is due at that time has run afterwards. */
    protected static function at(string $time): void
    {
        self::itIs($time);
        self::artisan('schedule:run');
    }

    protected function setUp(): void
    {
        $this->browser = self::$driver ?? self::fail('No browser was started.');
        $this->browser->manage()->deleteAllCookies();
    }

    /** Through the screen the first time; later as in a browser that was left open. */
    protected function signIn(string $name, string $to = '/'): void
    {
        // Away from the page before, so that nothing it still waits for brings its cookies back.
        $this->browser->get('about:blank');
        $this->developer('Network.clearBrowserCookies');
        $who = self::$address." $name";
        $this->developer('Network.setCookies', ['cookies' => self::$signedIn[$who] ?? []]);
        $this->open($to);
        if (str_starts_with($this->browser->getCurrentURL(), self::$address.'/sign-in')) {
            $this->press($this->all('[data-person]', $name)[0] ?? self::fail("$name cannot sign in."));
            $this->until('! location.pathname.startsWith("/sign-in")', "$name cannot sign in.");
            self::$signedIn[$who] = $this->developer('Network.getCookies')['cookies'];
        }
    }

    /**
     * What only those who develop a browser may ask of it.
     *
     * @param  array<string, mixed>  $with
     */
    private function developer(string $what, array $with = []): mixed
    {
        return $this->browser->executeCustomCommand(
            '/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $what, 'params' => (object) $with],
        );
    }

    protected function open(string $path): void
    {
        $this->browser->get(self::$address.$path);
    }

    protected function find(string $selector): RemoteWebElement
    {
        // What can be chosen in a field is drawn by nobody before the field is open.
        $isSeen = 'const one = document.querySelector(arguments[0]); return (one?.closest("select") ?? one)'
            .'?.checkVisibility({opacityProperty: true, visibilityProperty: true})';

        return $this->wait(
            fn (): ?RemoteWebElement => $this->browser->executeScript($isSeen, [$selector]) === true
                ? $this->browser->findElement(WebDriverBy::cssSelector($selector)) : null,
            "Nothing is at $selector.",
        );
    }

    /**
     * Until something is so; one that fails while one page takes the place of another is asked again. Often at first
     * and then less, since a page that is asked does nothing else.
     *
     * @template T
     *
     * @param  callable(): T  $is
     * @return T
     */
    protected function wait(callable $is, string $otherwise): mixed
    {
        $end = microtime(true) + self::PATIENCE;
        [$pause, $most] = self::PAUSES;
        while (true) {
            try {
                $found = $is();
                if ((bool) $found) {
                    return $found;
                }
            } catch (WebDriverException) {
            }
            microtime(true) < $end || self::fail(
                "$otherwise On ".$this->browser->getCurrentURL().":\n".mb_substr($this->text(), 0, 1500),
            );
            usleep(1000 * $pause);
            $pause = min(2 * $pause, $most);
        }
    }

    /** @return list<RemoteWebElement> those that hold a text */
    protected function all(string $selector, string $text = ''): array
    {
        $this->browser->executeScript(
            'document.querySelectorAll("[data-found]").forEach((e) => e.removeAttribute("data-found")); '
                .'document.querySelectorAll(arguments[0]).forEach((e) => e.innerText.includes(arguments[1]) && '
                .'e.checkVisibility() && e.setAttribute("data-found", ""))',
            [$selector, $text],
        );

        return array_values($this->browser->findElements(WebDriverBy::cssSelector('[data-found]')));
    }

    /** Clicks what does something, and waits until the page it leads to is there. */
    protected function press(RemoteWebElement|string $what): void
    {
        if (is_string($what)) {
            $text = $what;
            // A page that is still being loaded may not have it yet.
            $what = $this->wait(
                fn (): ?RemoteWebElement => $this->all('a, button, summary', $text)[0] ?? null,
                "“{$text}” cannot be pressed.",
            );
        }
        $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$what]);
        $what->click();
    }

    protected function fill(string $selector, string $text): void
    {
        $field = $this->find($selector);
        $field->clear();
        $field->sendKeys($text);
    }

    /** Keys that go to whatever has the focus, once the page listens to them and what has it can take them. */
    protected function keys(string ...$keys): void
    {
        $this->wait(
            fn (): mixed => $this->browser->executeScript('return document.readyState === "complete"'),
            'The page does not come to its end.',
        );
        foreach ($keys as $key) {
            $this->wait(fn (): bool => (bool) $this->browser->getKeyboard()->sendKeys($key), "“{$key}” is not taken.");
        }
    }

    /** Waits until something is true in the page. */
    protected function until(string $script, string $otherwise, mixed ...$arguments): mixed
    {
        $found = $this->wait(fn (): mixed => $this->browser->executeScript("return $script", $arguments), $otherwise);
        $this->addToAssertionCount(1);

        return $found;
    }

    /** The dialog that is open. */
    protected function dialog(string $within = ''): RemoteWebElement
    {
        return $this->find(".modal.show $within");
    }

    protected function see(string $text): void
    {
        $this->until('document.body.innerText.includes(arguments[0])', "“{$text}” is not to be seen.", $text);
    }

    protected function text(): string
    {
        try {
            return (string) $this->browser->executeScript('return document.body.innerText');
        } catch (WebDriverException) {
            return '';
        }
    }

    /** What a browser without a person in front of it would not let go through. */
    protected function hears(): void
    {
        $this->developer('Page.addScriptToEvaluateOnNewDocument', [
            'source' => 'Object.defineProperty(navigator, "clipboard", {value: {writeText: async (text) => { '
                    .'window.copied = text; }}})',
        ]);
    }

    /** A file on disk as a person would choose it. */
    protected function file(string $name, string $text): string
    {
        $path = sys_get_temp_dir().'/'.$name;
        file_put_contents($path, $text);

        return $path;
    }

    /** @param  list<string>  $command */
    protected static function launch(array $command, string $root, array $env): void
    {
        $log = ['file', '/dev/null', 'w'];
        self::$processes[] = proc_open(
            ['setsid', ...$command], [['file', '/dev/null', 'r'], $log, $log], $pipes, $root, $env,
        );
    }

    protected static function listens(int $port): void
    {
        for ($i = 0; $i < 10 * self::PATIENCE; $i++) {
            $connection = @fsockopen('127.0.0.1', $port);
            if ($connection !== false) {
                fclose($connection);

                return;
            }
            usleep(100_000);
        }
        self::fail("Nothing listens on port $port.");
    }

    protected static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $name = stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr((string) strrchr((string) $name, ':'), 1);
    }
}
