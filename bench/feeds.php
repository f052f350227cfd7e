<?php

declare(strict_types=1);

/* Feeds: postings read, understood and stored; the webhook. */

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Formats\PostingLines;
use App\Feeds\Found;
use App\Feeds\KeepItems;
use App\Feeds\TakeEvents;
use App\Models\Alert;
use App\Models\Feed;
use App\Models\FeedRun;
use App\Models\ItemKind;
use App\Models\Offer;
use App\Models\User;
use App\Standings\Standings;
use App\Support\Bulk;
use App\View\Today\JustIn;
use App\View\Today\TodayPage;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

function feeds(int $postings): void
{
    $now = CarbonImmutable::now();
    $rows = [];
    for ($i = 1; $i <= $postings; $i++) {
        $key = str_pad(dechex($i), 16, '0', STR_PAD_LEFT);
        $rows[] = ["Bench $i", $key, "feed$i.example", 1, ...array_fill(0, 2, $now->toDateTimeString())];
        if (count($rows) === 5000 || $i === $postings) {
            Bulk::insert('accounts', ['name', 'name_key', 'domain', 'confidence', 'created_at', 'updated_at'], $rows);
            $rows = [];
        }
    }
    $offer = Offer::query()->create(['name' => 'Feeds']);
    $offer->ruleSets()->create(['version' => 1, 'kinds' => [], 'criteria' => [], 'roles_of_interest' => [
        ['name' => 'Planner', 'title_query' => 'planner', 'text_query' => '"compressed air" OR steam',
            'functions' => ['maintenance']],
        ['name' => 'Energy', 'title_query' => 'energy', 'functions' => ['sustainability']],
    ]]);
    $path = sys_get_temp_dir().'/luftig-bench-postings.jsonl';
    $file = fopen($path, 'wb') ?: exit(1);
    for ($i = 1; $i <= $postings; $i++) {
        fwrite($file, json_encode([
            '@type' => 'JobPosting', 'url' => "https://board.example/$i",
            'title' => ['Maintenance planner', 'Energy manager', 'Cook', 'Plant manager'][$i % 4],
            'datePosted' => $now->subDays($i % 80)->toIso8601ZuluString(), 'employmentType' => 'FULL_TIME',
            'description' => '<p>'.str_repeat('You know compressed air, steam and vacuum. ', 12).'</p>',
            'hiringOrganization' => ['name' => "Bench $i", 'sameAs' => "https://www.feed$i.example/"],
            'jobLocation' => ['address' => ['addressLocality' => 'Hobro', 'addressCountry' => 'DK']],
        ], JSON_UNESCAPED_SLASHES)."\n");
    }
    fclose($file);
    $feed = Feed::query()
        ->create(['name' => 'Bench', 'format' => 'posting-lines', 'address' => '', 'rhythm' => 60])->refresh();
    $run = FeedRun::query()->create(['feed_id' => $feed->id, 'started_at' => $now])->refresh();
    $keep = new KeepItems($feed, ItemKind::Posting);
    $before = memory_get_peak_usage(true);
    $took = seconds(function () use ($keep, $run, $path): void {
        $some = [];
        foreach ((new PostingLines)->read(new Fetched('', $path), new Cursor)->items as $item) {
            $some[] = $item;
            if (count($some) === 500) {
                DB::transaction(fn () => $keep->keep($some, $run));
                $some = [];
            }
        }
        DB::transaction(fn () => $keep->keep($some, $run));
    });
    say(sprintf('%s postings: %.1f s, %s signals', number_format($postings), $took, number_format($run->signals)));
    limit('seconds for 100,000 postings read, understood and stored', $took * 100_000 / $postings, 300);
    limit('MB of memory for it', memory_get_peak_usage(true) / 1048576, 128);
    toToday($feed, $run, $offer);
    webhook($feed);
}

/** One more posting, once it was fetched: understood, ranked, and on Today, of so many accounts with signals. */
function toToday(Feed $feed, FeedRun $run, Offer $offer): void
{
    (new Standings)->all();
    $rep = User::query()->create(['name' => 'Bench', 'email' => 'bench@example.example', 'role' => 'rep'])->refresh();
    Alert::query()->create(['user_id' => $rep->id, 'offer_id' => $offer->id, 'about' => 'everyone']);
    $item = new Found('https://board.example/new', 'Energy manager', [
        'employer' => 'Bench 6', 'domain' => 'feed6.example', 'text' => 'You know steam.', 'type' => 'FULL_TIME',
    ], '{}', 'https://board.example/new', CarbonImmutable::now());
    $took = seconds(function () use ($feed, $run, $item, $offer, $rep): void {
        DB::transaction(fn () => (new KeepItems($feed, ItemKind::Posting))->keep([$item], $run));
        (new Standings)->refresh();
        TodayPage::of($offer, $rep, 0);
        $isIn = array_filter(
            JustIn::of($rep)->signals,
            fn (array $one): bool => $one['says'] === 'Energy manager sought',
        );
        $isIn === [] && say('It is not on Today.');
    });
    limit('seconds from an item that was fetched to Today', $took, 5);
}

/** Four processes that post batches of fifty, as the web's workers take them in. */
function webhook(Feed $feed): void
{
    $batches = 40;
    $times = tempnam(sys_get_temp_dir(), 'luftig-bench-');
    $took = seconds(function () use ($feed, $batches, $times): void {
        App\Support\Workers::share(4, function (int $number) use ($feed, $batches, $times): void {
            for ($batch = 0; $batch < $batches; $batch++) {
                $events = array_map(fn (int $i): array => [
                    'specversion' => '1.0', 'id' => "$number-$batch-$i", 'source' => '/bench',
                    'type' => 'x.own_engagement', 'data' => [
                        'domain' => 'feed'.(1 + ($number * 7919 + $batch * 50 + $i) % 10_000).'.example',
                        'deed' => 'asked', 'title' => "Asked $number $batch $i",
                    ],
                ], range(1, 50));
                $one = seconds(fn () => TakeEvents::from($feed, ItemKind::Event, $events));
                file_put_contents((string) $times, "$one\n", FILE_APPEND | LOCK_EX);
            }
        });
    });
    $all = array_map(floatval(...), file((string) $times) ?: []);
    sort($all);
    $events = 4 * $batches * 50;
    $kept = DB::table('feed_items')->where('kind', 'event')->count();
    say(sprintf(
        'Webhook: %s events in %.1f s, %.0f a second; %s kept', number_format($events), $took, $events / $took,
        number_format($kept),
    ));
    limit('seconds for 200 events, four at once', 200 * $took / $events, 1);
    limit('seconds of a batch of fifty, at the 95th percentile', $all[(int) (.95 * count($all))] ?? 99, .2);
    limit('events lost', $events - $kept, 0);
}
