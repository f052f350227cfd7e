<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\AccountsNamed;
use App\Jobs\AskFeed;
use App\Models\Account;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use App\Models\IntakeKind;
use App\Models\ItemState;
use App\Models\Signal;
use Illuminate\Support\Facades\Http;
use Luftig\Core\Signal\Item;
use Tests\TestCase;

/** Runs that go wrong, and whom a text names among the accounts of the base. */
final class FeedRunsTest extends TestCase
{
    use HasOutside;

    public function test_the_pause_grows_with_each_failure_and_is_short_again_after_one_that_went_well(): void
    {
        $this->world('postings', [$this->posting(1)]);
        $feed = $this->feed('posting-lines', 'jobs/feed.jsonl');
        $this->fault('jobs', '500');
        $minutes = [];
        for ($i = 0; $i < 8; $i++) {
            $this->ask($feed);
            $minutes[] = (int) now()->diffInMinutes($feed->refresh()->next_at);
        }
        self::assertSame([1, 2, 5, 15, 60, 240, 240, 240], $minutes);
        self::assertSame(8, $feed->failures);
        $this->fault('jobs', null);
        $this->ask($feed);
        self::assertSame([0, null, 60], [
            $feed->refresh()->failures, $feed->problem, (int) now()->diffInMinutes($feed->next_at),
        ]);
        $this->fault('jobs', '500');
        $this->ask($feed);
        self::assertSame(1, (int) now()->diffInMinutes($feed->refresh()->next_at));
    }

    public function test_what_has_not_changed_is_not_sent_and_what_is_new_is_asked_for_alone(): void
    {
        $this->world('postings', [$this->posting(1, ['at' => '2026-11-20T08:00:00Z'])]);
        $whole = $this->feed('posting-lines', 'jobs/feed.jsonl');
        $since = $this->feed('posting-lines', 'jobs/feed.jsonl?since=');
        self::assertSame([1, 1], [$this->ask($whole)->came, $this->ask($since)->came]);
        self::assertArrayHasKey('etag', $whole->refresh()->cursor['conditions']);
        // Six hours before the run began, for what a source writes down late.
        self::assertSame('2026-11-23T03:00:00Z', $since->refresh()->cursor['since']);
        self::assertSame([0, 0], [$this->ask($whole)->came, $this->ask($since)->came]);
        $this->world('postings', [
            $this->posting(1), $this->posting(2, ['at' => '2026-11-23T08:30:00Z', 'title' => 'Cook']),
        ]);
        self::assertSame([2, 1], [$this->ask($whole)->came, $this->ask($since)->came]);
    }

    public function test_what_came_is_kept_raw_for_ninety_days(): void
    {
        $this->world('postings', [$this->posting(1), $this->posting(2, ['title' => 'Cook'])]);
        $this->ask($this->feed('posting-lines', 'jobs/feed.jsonl'));
        [$seen, $old] = FeedItem::query()->orderBy('title')->get()->all();
        $old->update(['seen_at' => now()->subDays(91)]);
        $seen->update(['seen_at' => now()->subDays(89)]);
        $this->artisan('luftig:tidy')->assertSuccessful();
        self::assertSame('', $old->refresh()->raw());
        self::assertSame('Maintenance planner', $old->title, 'as it was read it stays');
        self::assertStringContainsString('"Cook"', $seen->refresh()->raw());
    }

    public function test_a_feed_that_fails_holds_up_no_other(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $this->world('postings', [$this->posting(1)]);
        $this->world('reports', [$this->report(1, 'Glasverk Tunhede builds a new hall')]);
        $feeds = [
            $this->feed('posting-lines', 'jobs/feed.jsonl'), $this->feed('press', 'press/posten/atom.xml'),
        ];
        $this->fault('jobs', '500');
        AskFeed::due();
        self::assertSame(
            [['It has a fault of its own (answer 500).', 0], [null, 1]],
            array_map(fn (Feed $feed): array => [
                $feed->refresh()->problem, FeedRun::query()->where('feed_id', $feed->id)->sole()->created,
            ], $feeds),
        );
        self::assertSame(['expansion'], Signal::query()->pluck('kind')->map->value->all());
    }

    public function test_a_fault_of_ours_is_said_so_and_tried_again(): void
    {
        $feed = $this->feed('posting-lines', 'jobs/feed.jsonl');
        Http::fake(fn () => throw new \DomainException('a fault of ours'));
        try {
            $this->ask($feed);
            self::fail('The fault was hidden.');
        } catch (\DomainException) {
            self::assertStringStartsWith('Something went wrong on our side', (string) $feed->refresh()->problem);
            self::assertNotNull(FeedRun::query()->sole()->finished_at);
        }
    }

    public function test_what_is_dated_ahead_is_refused_until_its_day_has_come(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $this->world('rounds', [[
            'id' => 'r1', 'domain' => 'tunhede.example', 'at' => '2026-11-20T00:00:00Z', 'round' => 'B',
            'amount' => 1e6, 'currency' => 'EUR',
        ]]);
        $this->fault('register', 'future');
        $feed = $this->feed('funding-rounds', 'register/rounds.json');
        $this->ask($feed);
        $item = FeedItem::query()->sole();
        self::assertSame([ItemState::Refused, 'It is dated 2027-12-25, which is still to come.'], [
            $item->state, $item->why,
        ]);
        $this->itIs('2027-12-26T00:00:00Z');
        $this->ask($feed);
        self::assertSame([ItemState::Taken, 1], [$item->refresh()->state, Signal::query()->count()]);
    }

    public function test_whom_a_text_names_is_found_among_the_accounts(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;city;country\na.example;Glashütte Moorloh GmbH;Wismar;Germany\n"
            ."b.example;Quast & Söhne;;\nc.example;Papir Lund A/S;Odense;Denmark\nd.example;Papir Lund;Vejle;Denmark\n"
            ."e.example;Holzwerke Obermeier Nord Verwaltungs und Vertriebs KG;;\nf.example;Glas;;\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name\nd.example;Pernille;Askov-Rye\n");
        $named = fn (string $title, string $text = ''): array => array_map(
            fn ($one): array => [
                (string) Account::query()->whereKey($one->id)->value('domain'), round($one->confidence, 2),
            ],
            AccountsNamed::in(new Item($title, $text)),
        );
        self::assertSame([['a.example', .8]], $named('Glashuette Moorloh wächst'));
        self::assertSame([['a.example', .9]], $named('Glashutte Moorloh in Wismar'));
        self::assertSame([['b.example', .8]], $named('Quast und Soehne suchen'));
        self::assertSame([['c.example', .4], ['d.example', .4]], $named('Papir Lund builds'));
        self::assertSame([['d.example', .48], ['c.example', .4]], $named('Papir Lund, says Pernille Askov-Rye'));
        self::assertSame([['f.example', .4]], $named('Glas is dear'), 'a word of the trades');
        self::assertSame([['f.example', 1.0]], $named('Glas', 'Write to info@f.example.'));
        self::assertSame([], $named('Obermeier Nord'));
        self::assertSame([], $named(''));
    }
}
