<?php

declare(strict_types=1);

namespace Tests\Feature;

use Luftig\StandIns\Answer;
use Luftig\StandIns\Faults;
use Luftig\StandIns\Server;
use Luftig\StandIns\World;
use PHPUnit\Framework\TestCase;

/** The simulated outside world: it tells what has happened by its clock, in the formats of real sources. */
final class StandInsTest extends TestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/luftig-standins-'.getmypid();
        mkdir($this->folder);
        $posting = [
            'employer' => 'Tunhede', 'domain' => 'tunhede.example', 'title' => 'Planner', 'place' => 'Hobro',
            'country' => 'DK', 'until' => '2026-12-01T00:00:00Z', 'type' => 'FULL_TIME', 'text' => 'Air & </script>',
            'author' => ['name' => 'Ida Lie'],
        ];
        $this->write('postings', [
            ['id' => 1, 'at' => '2026-11-20T08:00:00Z'] + $posting,
            ['id' => 2, 'at' => '2026-11-25T08:00:00Z'] + $posting,
        ]);
        $report = ['paper' => 'posten', 'title' => 'A hall & more', 'text' => 'In Hobro.'];
        $this->write('reports', [
            ['id' => 1, 'at' => '2026-11-20T08:00:00Z'] + $report,
            ['id' => 2, 'at' => '2026-11-25T08:00:00Z'] + $report,
            ['id' => 3, 'at' => '2026-08-01T08:00:00Z'] + $report,
            ['id' => 4, 'at' => '2026-11-20T08:00:00Z', 'paper' => 'dispatch'] + $report,
        ]);
        $this->write('rounds', array_map(fn (int $i): array => [
            'id' => "r$i", 'at' => '2026-11-20T08:00:00Z', 'domain' => 'x.example', 'round' => 'B', 'amount' => null,
            'currency' => null,
        ], range(1, 60)));
        $this->write('headcounts', [['domain' => 'x.example', 'months' => [
            '2026-11' => ['' => 40, 'sales' => 3], '2026-12' => ['' => 41, 'sales' => 3],
        ]]]);
        $deed = [
            'topic' => 'leaks', 'post' => 'https://p.example/1', 'profile' => 'https://q.example/ida',
            'name' => 'Ida Lie', 'company' => 'Tunhede', 'title' => 'Planner', 'text' => 'So do we.',
            'at' => '2026-11-20T08:00:00Z',
        ];
        $this->write('deeds', [
            ['id' => 1, 'deed' => 'commented'] + $deed, ['id' => 2, 'deed' => 'reacted'] + $deed,
            ['id' => 3, 'deed' => 'passed on'] + $deed, ['id' => 4, 'deed' => 'wrote'] + $deed,
        ]);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("$this->folder/*") ?: []);
        rmdir($this->folder);
    }

    public function test_a_day_later_there_is_that_days_news(): void
    {
        foreach (['2026-11-23' => [1, 1, 1], '2026-11-26' => [2, 2, 1], '2026-12-02' => [0, 2, 2]] as $day => $counts) {
            self::assertSame($counts, [
                substr_count($this->get('/jobs/feed.jsonl?since=', $day)->body, "\n"),
                substr_count($this->get('/press/posten/rss.xml', $day)->body, '<item>'),
                substr_count($this->get('/register/headcounts.csv', $day)->body, 'x.example') / 2,
            ], $day);
        }
        self::assertSame(404, $this->get('/jobs/2', '2026-11-23')->status);
        self::assertSame(200, $this->get('/jobs/2', '2026-11-26')->status);
        self::assertSame(404, $this->get('/jobs/1', '2026-12-02')->status, 'it has ended');
    }

    public function test_a_posting_stands_in_its_page_and_in_the_sitemap(): void
    {
        $sitemap = $this->get('/jobs/sitemap.xml')->body;
        self::assertStringContainsString('<loc>http://out.example/jobs/1</loc><lastmod>2026-11-20T08:00:00Z', $sitemap);
        self::assertStringNotContainsString('/jobs/2<', $sitemap);
        $page = $this->get('/jobs/1')->body;
        preg_match('~<script type="application/ld\+json">(.*?)</script>~s', $page, $json);
        $posting = json_decode($json[1], true);
        self::assertSame(
            ['Planner', 'Air & </script>', 'https://www.tunhede.example/', 'Hobro', 'Ida Lie'],
            [
                $posting['title'], $posting['description'], $posting['hiringOrganization']['sameAs'],
                $posting['jobLocation']['address']['addressLocality'], $posting['applicationContact']['name'],
            ],
        );
        self::assertSame('', $this->get('/jobs/feed.jsonl?since=2026-11-21T00:00:00Z')->body);
    }

    public function test_papers_tell_what_they_printed_in_ninety_days(): void
    {
        $atom = $this->get('/press/posten/atom.xml');
        self::assertSame(1, substr_count($atom->body, '<entry>'), 'not that of August, and not that of another paper');
        self::assertStringContainsString('<title>A hall &amp; more</title>', $atom->body);
        self::assertStringStartsWith('application/atom+xml', $atom->headers['Content-Type']);
        self::assertStringContainsString('In Hobro.', $this->get('/press/posten/1')->body);
        self::assertSame(404, $this->get('/press/posten/4')->status);
        self::assertSame(404, $this->get('/nothing')->status);
    }

    public function test_rounds_and_deeds_come_page_by_page(): void
    {
        $first = json_decode($this->get('/register/rounds.json')->body, true);
        self::assertSame(
            [50, 'http://out.example/register/rounds.json?page=2'],
            [count($first['rounds']), $first['next']],
        );
        self::assertSame(['id', 'domain', 'date', 'round'], array_keys($first['rounds'][0]));
        $second = json_decode($this->get('/register/rounds.json?page=2')->body, true);
        self::assertSame([10, null], [count($second['rounds']), $second['next']]);
        $deeds = json_decode($this->get('/topics/leaks/outbox')->body, true);
        self::assertSame(
            ['Create', 'Like', 'Announce', 'Create'],
            array_column($deeds['orderedItems'], 'type'),
        );
        self::assertSame('https://p.example/1', $deeds['orderedItems'][0]['object']['inReplyTo']);
        self::assertArrayNotHasKey('inReplyTo', $deeds['orderedItems'][3]['object']);
        self::assertSame([], json_decode($this->get('/topics/other/outbox')->body, true)['orderedItems']);
    }

    public function test_what_has_not_changed_is_not_sent_again(): void
    {
        $answer = $this->get('/register/rounds.json');
        self::assertSame(304, $this->get('/register/rounds.json', known: $answer->headers['ETag'])->status);
        self::assertSame(200, $this->get('/jobs/sitemap.xml', known: $answer->headers['ETag'])->status);
    }

    public function test_each_fault_does_what_it_says_until_it_is_ended(): void
    {
        $fault = function (string $fault, string $path): Answer {
            self::assertSame(200, $this->get("/faults/jobs?fault=$fault", method: 'PUT')->status, $fault);

            return $this->get($path);
        };
        $well = $this->get('/jobs/feed.jsonl');
        self::assertSame([500, 429], [$fault('500', '/jobs/1')->status, $fault('429', '/jobs/1')->status]);
        self::assertSame('600', $this->get('/jobs/1')->headers['Retry-After']);
        self::assertSame(302, $fault('redirect', '/jobs/1')->status);
        self::assertSame(120.0, $fault('slow', '/jobs/1')->wait);
        $cut = $fault('cut', '/jobs/feed.jsonl');
        self::assertLessThan((int) $cut->headers['Content-Length'], strlen($cut->body));
        self::assertFalse(mb_check_encoding($fault('garbage', '/jobs/feed.jsonl')->body, 'UTF-8'));
        self::assertSame(2, substr_count($fault('repeated', '/jobs/feed.jsonl')->body, "\n"));
        self::assertGreaterThan(2_000_000, strlen($fault('giant', '/jobs/feed.jsonl')->body));
        self::assertStringContainsString('2027-12-25', $fault('future', '/jobs/feed.jsonl')->body);
        self::assertStringContainsString('alert(1)', $fault('scripts', '/jobs/feed.jsonl')->body);
        self::assertStringContainsString('<!DOCTYPE', $fault('entities', '/jobs/sitemap.xml')->body);
        self::assertSame(200, $this->get('/register/rounds.json')->status, 'the others are well');
        self::assertSame(422, $this->get('/faults/jobs?fault=flood', method: 'PUT')->status);
        $this->get('/faults', method: 'DELETE');
        self::assertSame($well->body, $this->get('/jobs/feed.jsonl')->body);
    }

    private function get(
        string $address,
        string $day = '2026-11-23',
        string $known = '',
        string $method = 'GET',
    ): Answer {
        $world = new World($this->folder, (int) strtotime("$day 12:00 UTC"));

        return (new Server($world, new Faults("$this->folder/faults.json"), 'http://out.example'))
            ->answer($method, $address, $known);
    }

    /** @param  list<array<string, mixed>>  $all */
    private function write(string $what, array $all): void
    {
        file_put_contents("$this->folder/$what.jsonl", implode('', array_map(
            fn (array $one): string => json_encode($one, JSON_THROW_ON_ERROR)."\n",
            $all,
        )));
    }
}
