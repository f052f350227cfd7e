<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\Signal;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Files in the formats that sources speak, dropped where any file is. */
final class DocumentsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;profile\ntunhede.example;Ida;Lie;https://p.example/ida\n",
        );
    }

    /** @return array<string, array{string, string, string, string}> */
    public static function documents(): array
    {
        $posting = '{"@context":"https://schema.org","@type":"JobPosting","title":"Maintenance planner","datePosted":'
            .'"2026-11-20","hiringOrganization":{"name":"Glasverk Tunhede","sameAs":"https://tunhede.example"},'
            .'"description":"Compressed air","identifier":"7"}';

        return [
            'postings, one a line' => ['a.jsonl', "$posting\n", 'Files of postings', 'Maintenance planner'],
            'a posting over several lines' => [
                'b.json', (string) json_encode(json_decode($posting), JSON_PRETTY_PRINT), 'Files of postings',
                'Maintenance planner',
            ],
            'a graph of postings' => ['c.json', "{\"@graph\":[$posting]}", 'Files of postings', 'Maintenance planner'],
            'a page with a posting' => [
                'd.html', "<!doctype html><html><script type=\"application/ld+json\">$posting</script></html>",
                'Pages of postings', 'Maintenance planner',
            ],
            'reports as Atom' => [
                'e.xml', '<?xml version="1.0"?><feed xmlns="http://www.w3.org/2005/Atom"><entry><id>1</id>'
                    .'<title>Glasverk Tunhede raises 12 million in a funding round</title><updated>'
                    .'2026-11-20T08:00:00Z</updated>'
                    .'<link href="https://blad.example/1"/><summary>At tunhede.example</summary></entry></feed>',
                'Files of reports', 'Glasverk Tunhede raises 12 million in a funding round',
            ],
            'reports as RSS' => [
                'f.rss', '<rss version="2.0"><channel><item><guid>1</guid><title>Glasverk '
                    .'Tunhede builds</title><pubDate>Fri, 20 Nov 2026 08:00:00 GMT</pubDate><link>'
                    .'https://blad.example/2</link></item></channel></rss>',
                'Files of reports', 'Glasverk Tunhede builds',
            ],
            'posts' => [
                'g.json', '{"@context":"https://www.w3.org/ns/activitystreams","type":"OrderedCollection",'
                    .'"orderedItems":[{"id":"https://p.example/1","type":"Create",'
                    .'"published":"2026-11-20T08:00:00Z","actor":{"id":'
                    .'"https://p.example/ida","name":"Ida Lie","url":"https://p.example/ida"},"object":{"id":'
                    .'"https://p.example/n/1","type":"Note","content":"On leaks"}}]}',
                'Files of posts', 'Ida Lie wrote',
            ],
            'events' => [
                'h.json', '[{"specversion":"1.0","id":"1","source":"/pages","type":"example.own_engagement","time":'
                    .'"2026-11-20T08:00:00Z","data":{"domain":"tunhede.example","deed":"asked","title":"Asked us"}}]',
                'Files of events', 'Asked us',
            ],
        ];
    }

    #[DataProvider('documents')]
    public function test_what_sources_say_comes_in_as_from_them_and_twice_changes_nothing(
        string $name,
        string $text,
        string $source,
        string $title,
    ): void {
        $this->drop($name, $text)->assertSessionHasNoErrors();
        $feed = Feed::query()->sole();
        self::assertSame($source, $feed->name);
        self::assertStringContainsString($title, (string) FeedItem::query()->sole()->title);
        self::assertSame($this->tunhede()->id, FeedItem::query()->sole()->account_id);
        $this->get(route('feeds.show', $feed))->assertOk()->assertSee($source);
        $this->actingAs($this->lead)->get(route('feeds.show', $feed))->assertDontSee('Ask it now');
        $signals = Signal::query()->count();
        $this->drop("again-$name", $text)->assertSessionHasNoErrors();
        self::assertSame([1, 1, $signals], [
            Feed::query()->count(), FeedItem::query()->count(), Signal::query()->count(),
        ]);
        self::assertSame(0, Intake::query()->where('name', 'like', "%$name")->count());
    }

    public function test_lines_of_json_that_are_rows_come_in_like_any_rows(): void
    {
        $this->drop('rows.jsonl', "{\"search\":\"http://x\",\"found\":2}\n"
            ."{\"domain\":\"lovhult.example\",\"name\":\"Lövhult\",\"headcount\":90}\n"
            .'{"domain":"rasktorpa.example","name":"Rasktorpa","technologies":["Vedliko Plan",'
            ."\"Kvistomat\"]}\n");
        $intake = Intake::query()->where('name', 'rows.jsonl')->sole();
        self::assertSame(['domain', 'name', 'headcount', 'technologies'], $intake->format['columns']);
        $this->post(route('intake.start', $intake), [
            'kind' => 'accounts', 'columns' => ['domain', 'name', 'headcount', 'technologies'],
        ])->assertSessionHasNoErrors();
        self::assertSame(90, Account::query()->where('domain', 'lovhult.example')->value('headcount'));
        self::assertSame(
            ['Kvistomat', 'Vedliko Plan'],
            Account::query()->where('domain', 'rasktorpa.example')->sole()->technologies->pluck('name')->all(),
        );
    }

    /** @return array<string, array{string, string}> */
    public static function broken(): array
    {
        return [
            'a line cut off' => ["{\"domain\":\"a.example\"}\n{\"domain\":", 'Line 2 is no whole JSON object.'],
            'a collection cut off' => [
                '{"@context":"https://www.w3.org/ns/activitystreams","type":"Coll', 'This is no collection',
            ],
            'events cut off' => ['[{"specversion":"1.0","id":', 'There is no whole JSON object in it.'],
        ];
    }

    #[DataProvider('broken')]
    public function test_what_is_cut_off_is_refused_in_a_sentence(string $text, string $says): void
    {
        $this->drop('x.json', $text);
        self::assertStringContainsString($says, implode(' ', session('errors')?->all() ?? []));
        self::assertSame([0, 0, 0], [FeedItem::query()->count(), Feed::query()->count(), FeedRun::query()->count()]);
    }

    private function drop(string $name, string $text): TestResponse
    {
        return $this->actingAs($this->rep)->from('/intake')->post('/intake', [
            'file' => [UploadedFile::fake()->createWithContent($name, $text)],
        ]);
    }

    protected function tunhede(): Account
    {
        return Account::query()->where('domain', 'tunhede.example')->sole();
    }
}
