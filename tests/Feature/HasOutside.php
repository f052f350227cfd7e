<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\Fetcher;
use App\Feeds\RunFeed;
use App\Models\Feed;
use App\Models\FeedRun;

/** The stand-ins, running for the tests of a class, with a world that each test writes. */
trait HasOutside
{
    /** @var resource|null */
    private static $server;

    private static string $folder = '';

    private static int $port = 0;

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::$folder = sys_get_temp_dir().'/luftig-world-'.getmypid();
        is_dir(self::$folder) || mkdir(self::$folder);
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No port is free.');
        self::$port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        self::$server = proc_open(
            ['setsid', 'php', '-S', '127.0.0.1:'.self::$port, 'standins/index.php'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            dirname(__DIR__, 2),
            [
                'LUFTIG_WORLD' => self::$folder, 'LUFTIG_CLOCK_FILE' => self::$folder.'/clock', 'LUFTIG_SLOW' => '6',
                'PHP_CLI_SERVER_WORKERS' => '3', 'PATH' => (string) getenv('PATH'),
            ],
        ) ?: self::fail('The stand-ins do not start.');
        for ($i = 0; $i < 300 && @fsockopen('127.0.0.1', self::$port) === false; $i++) {
            usleep(100_000);
        }
    }

    public static function tearDownAfterClass(): void
    {
        if (is_resource(self::$server)) {
            posix_kill(-proc_get_status(self::$server)['pid'], SIGKILL);
            proc_close(self::$server);
        }
        array_map(unlink(...), glob(self::$folder.'/*') ?: []);
        @rmdir(self::$folder);
        parent::tearDownAfterClass();
    }

    protected function setUp(): void
    {
        parent::setUp();
        config(['luftig.standins' => ['127.0.0.1:'.self::$port]]);
        array_map(unlink(...), glob(self::$folder.'/*') ?: []);
        $this->itIs(self::NOW);
    }

    private function itIs(string $time): void
    {
        $this->at($time);
        file_put_contents(self::$folder.'/clock', $time);
    }

    /** @param  list<array<string, mixed>>  $all */
    private function world(string $what, array $all): void
    {
        file_put_contents(self::$folder."/$what.jsonl", implode('', array_map(
            fn (array $one): string => json_encode($one, JSON_THROW_ON_ERROR)."\n",
            $all,
        )));
    }

    private function fault(string $source, ?string $fault): void
    {
        file_put_contents(self::$folder.'/faults.json', json_encode($fault === null ? [] : [$source => $fault]));
    }

    private function feed(string $format, string $path): Feed
    {
        return Feed::factory()->create([
            'name' => $path, 'format' => $format, 'address' => 'http://127.0.0.1:'.self::$port."/$path",
        ])->refresh();
    }

    private function ask(Feed $feed, int $mostBytes = 2_000_000): FeedRun
    {
        return (new RunFeed(new Fetcher($mostBytes, 4)))->run($feed->refresh())
            ?? self::fail("{$feed->name} is asked by another.");
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function posting(int $id, array $more = []): array
    {
        return $more + [
            'id' => $id, 'employer' => 'Glasverk Tunhede A/S', 'domain' => 'tunhede.example',
            'title' => 'Maintenance planner', 'place' => 'Hobro', 'country' => 'DK', 'at' => '2026-11-20T08:00:00Z',
            'until' => '2027-02-01T00:00:00Z', 'type' => 'FULL_TIME', 'text' => '<p>You know compressed air.</p>',
            'author' => [],
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function report(int $id, string $title, array $more = []): array
    {
        return $more + [
            'id' => $id, 'paper' => 'posten', 'title' => $title, 'text' => 'The plant is in Hobro.',
            'at' => '2026-11-20T08:00:00Z',
        ];
    }
}
