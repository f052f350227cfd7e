<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\ResultRows;
use App\Finder\Search;
use App\Lists\Sample;
use App\Lists\SplitBy;
use App\Lists\SplitList;
use App\Lists\Trial;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Place;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Models\Watch;
use App\Standings\Standings;
use App\View\Lists\Digest;
use App\View\Lists\ListPage;
use App\View\Lists\ListsPage;
use App\View\Lists\RecordCard;
use App\View\Lists\SamplePage;
use App\View\Lists\Steps;
use App\View\Lists\StepThroughPage;
use App\View\Lists\WatchPage;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Subject;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What lists, batches, samples and watches say of themselves. */
final class ListViewTest extends TestCase
{
    public function test_a_list_says_how_large_it_is_whose_and_how_it_was_made(): void
    {
        $list = $this->listOf($this->accounts(3));
        $page = $this->page($list);
        self::assertSame('3 accounts, by Mira within the hour', $page->about());
        self::assertTrue($page->isOfAccounts());
        self::assertSame([['country', 'Denmark']], $page->steps());
        self::assertSame('would add 0 and miss 3.', $page->since(), 'the index knows none of them');
        self::assertSame(
            route('finder', ['on' => 'accounts', 'c' => [['f' => 'list', 'v' => $list->id]]]),
            $page->inFinder(),
        );
        self::assertStringContainsString('country', urldecode($page->sameSearch()));
        self::assertSame(['', null, true, 2], [
            $page->atMost(), $page->trial(), $page->mayTry(), $page->proposedTrial(),
        ]);

        $list->update(['per_account' => 2, 'user_id' => null]);
        $list->unsetRelation('user');
        $this->at('2026-11-26T09:00:00Z');
        self::assertSame(['3 accounts, by somebody 3 days ago', ', at most 2 at one account'], [
            $this->page($list)->about(), $this->page($list)->atMost(),
        ]);
        $one = $this->page($this->listOf($this->accounts(1)));
        self::assertSame(['1 account, by Mira within the hour', false], [$one->about(), $one->mayTry()]);
    }

    public function test_a_list_of_many_proposes_a_trial_of_twenty(): void
    {
        $page = $this->page($this->listOf($this->accounts(30)));
        self::assertSame([20, 25, 30], [$page->proposedTrial(), count($page->pages->items()), $page->pages->total()]);
    }

    public function test_a_trial_is_in_when_each_of_it_answered_or_was_silent_for_two_weeks(): void
    {
        $accounts = $this->accounts(4);
        $other = $this->listOf($this->accounts(2));
        [$trial, $held] = Trial::begin($this->listOf($accounts), 2, $this->rep);
        Trial::begin($other, 1, $this->rep);
        $members = $trial->members()->pluck('record_id')->all();
        $says = fn (): array => [
            $this->page($held->refresh())->trial()['says'] ?? null,
            $this->page($held)->trial()['isIn'] ?? null,
            Trial::holding($this->offer, 'accounts', $accounts) === [],
        ];
        self::assertSame(['0 of 2 approached, 0 answered or silent for two weeks.', false, false], $says());
        $approach = fn (int $account, string $at, ?string $result = null): Approach => Approach::factory()->create([
            'account_id' => $account, 'offer_id' => $this->offer->id, 'made_at' => $at, 'result' => $result,
        ]);
        $approach($members[0], '2026-11-22 09:00');
        self::assertSame('0 of 2 approached, 0 answered or silent for two weeks.', $says()[0], 'it was before');
        $approach($members[0], '2026-11-24 09:00', 'interested');
        $approach($members[0], '2026-11-25 09:00');
        $approach($members[1], '2026-11-25 09:00');
        self::assertSame(['2 of 2 approached, 1 answered or silent for two weeks.', false, false], $says());
        $this->at('2026-12-09T09:00:00Z');
        self::assertSame(
            ['2 of 2 approached, 1 answered or silent for two weeks.', false, false],
            $says(),
            'to the hour',
        );
        $this->at('2026-12-09T09:00:01Z');
        self::assertSame(['2 of 2 approached, 2 answered or silent for two weeks.', true, true], $says());
    }

    public function test_whoever_is_held_is_found_among_many_with_few_questions(): void
    {
        foreach (range(1, 5) as $i) {
            Trial::begin($this->listOf($this->accounts(4)), 1, $this->rep);
        }
        DB::enableQueryLog();
        $held = Trial::holding($this->offer, 'accounts', Account::query()->pluck('id')->all());
        self::assertCount(15, $held);
        self::assertLessThan(8, count(DB::getQueryLog()), 'the accounts themselves are one of them');
    }

    public function test_lists_and_watches_stand_with_their_size_and_how_good_they_are(): void
    {
        $good = $this->listOf($this->accounts(40), 'Checked');
        $good->members()->limit(20)->update(['fits' => true]);
        $good->members()->where('position', '<', 3)->update(['fits' => false]);
        $this->at('2026-11-23T09:00:01Z');
        $plain = $this->listOf([], 'Plain');
        $plain->update(['held_for' => $good->id, 'user_id' => null]);
        $rows = ListsPage::of($this->offer)->lists();
        self::assertSame(['Plain', 'Checked'], array_map(fn (array $row): string => $row['list']->name, $rows));
        self::assertSame(
            ['0 accounts, held for its trial', 'somebody', null, 'not checked yet'],
            [$rows[0]['about'], $rows[0]['by'], $rows[0]['good'], $rows[0]['judged']],
        );
        // 17 of 20 out of 40: n* = 20·39/20 = 39, Wilson 71–93 %
        self::assertSame(
            ['40 accounts', 'Mira', '71 % to 93 % good', '20 judged'],
            [$rows[1]['about'], $rows[1]['by'], $rows[1]['good'], $rows[1]['judged']],
        );
        self::assertSame([$plain->id => 'Plain', $good->id => 'Checked'], ListsPage::of($this->offer)->names());
    }

    public function test_watches_with_news_come_first(): void
    {
        $watch = fn (string $name): Watch => Watch::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'name' => $name, 'hour' => 8,
            'time_zone' => 'Europe/Stockholm', 'next_at' => '2026-11-24 07:00',
        ]);
        $watch('Quiet');
        $news = $watch('With news');
        $contacts = Contact::factory()->count(3)->create();
        foreach ($contacts as $i => $contact) {
            DB::table('watch_finds')->insert([
                'watch_id' => $news->id, 'record_id' => $contact->id, 'found_at' => now(),
                'why' => $i === 0 ? null : 'a signal', 'unread' => $i === 1,
            ]);
        }
        $rows = ListsPage::of($this->offer)->watches();
        self::assertSame(
            [['With news', 1, '2 newcomers'], ['Quiet', 0, 'nobody new yet']],
            array_map(fn (array $row): array => [$row['name'], $row['unread'], $row['found']], $rows),
        );
        self::assertSame(['Mira, daily', 'next Tue 24 Nov, 08:00'], [$rows[0]['about'], $rows[0]['next']]);

        $page = WatchPage::of($news);
        self::assertSame(1, $page->unread);
        self::assertStringStartsWith('daily, ran within the hour, next Tuesday 24 November, 08:00', $page->about());
        self::assertCount(2, $page->newcomers());
        self::assertSame(
            ['a signal', true, route('contacts.show', $contacts[1])],
            [$page->newcomers()[0]['why'], $page->newcomers()[0]['isUnread'], $page->newcomers()[0]['url']],
        );
    }

    public function test_a_digest_names_the_first_and_counts_the_rest(): void
    {
        $watch = Watch::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'name' => 'Planners',
            'time_zone' => 'Europe/Stockholm',
        ]);
        $contact = Contact::factory()->create([
            'account_id' => Account::factory()->create(['name' => 'Glasverk'])->id, 'first_name' => 'Ida',
            'last_name' => 'Lie', 'title' => 'Planner',
        ]);
        $digest = new Digest($watch, [$contact->id => 'joined'], 1200, now()->toImmutable());
        self::assertSame('Planners: 1,200 new', $digest->subject());
        self::assertSame('Planners: 1,200 new since Monday 23 November, 10:00.', $digest->about());
        self::assertSame([['Ida Lie, Planner, Glasverk: joined'], 1199], [$digest->lines(), $digest->more()]);
        self::assertSame(0, (new Digest($watch, [], 0, now()->toImmutable()))->more());
    }

    public function test_a_sample_says_how_good_a_list_is_as_far_as_one_knows(): void
    {
        $list = $this->listOf($this->accounts(40));
        $page = fn (): SamplePage => SamplePage::of(
            $this->offer->refresh(), $list, Search::from($this->offer, ['on' => 'accounts']),
        );
        self::assertSame(['20 left to judge, drawn evenly over the list', false], [
            $page()->left(), $page()->isBegun(),
        ]);
        $next = Sample::of($list)->next;
        foreach ($next as $i => $record) {
            $list->member($record)->update(['fits' => $i >= 3]);
        }
        self::assertTrue($page()->isBegun());
        self::assertSame('71 % – 93 %', $page()->interval());
        self::assertSame('of it fits, with 95 % confidence: 17 of 20 judged', $page()->judged());
        self::assertStringStartsWith('Of 40, 28 to 37 are good.', $page()->expected());
        self::assertSame(
            'The sample is judged; it is known well enough how good the list is.',
            $page()->nothingLeft(),
        );
        $empty = $this->listOf([], 'Empty');
        self::assertSame('The list is empty.', SamplePage::of(
            $this->offer->refresh(), $empty, Search::from($this->offer, ['on' => 'accounts']),
        )->nothingLeft());
    }

    public function test_one_decides_after_the_other(): void
    {
        $accounts = $this->accounts(3);
        $list = $this->listOf($accounts);
        $other = $this->listOf([], 'Another');
        $this->listOf([], 'Of people', 'contacts');
        $page = StepThroughPage::of($this->offer, $list);
        self::assertSame([$accounts[0], '0 of 3 decided, 0 kept', 0, false], [
            $page->next, $page->progress, $page->kept, $page->isEmpty,
        ]);
        self::assertSame([$other->id => 'Another'], $page->others, 'lists of the same kind');
        $list->member($accounts[0])->update(['keep' => true]);
        $list->member($accounts[1])->update(['keep' => false]);
        $page = StepThroughPage::of($this->offer, $list);
        self::assertSame([$accounts[2], '2 of 3 decided, 1 kept', 'Make a list of the 1 kept'], [
            $page->next, $page->progress, $page->keep(),
        ]);
        $list->member($accounts[2])->update(['keep' => true]);
        self::assertNull(StepThroughPage::of($this->offer, $list)->next);
        self::assertTrue(StepThroughPage::of($this->offer, $other)->isEmpty);
    }

    public function test_a_card_says_what_one_decides_on(): void
    {
        $account = Account::factory()
            ->create(['name' => 'Glasverk', 'headcount' => 420, 'description' => 'Makes glass.']);
        Place::factory()->create(['account_id' => $account->id]);
        $account->industries()->create(['code' => '2310', 'position' => 0]);
        $contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Lie', 'title' => 'Planner',
        ]);
        $card = fn (Subject $subject, int $id): ?RecordCard => RecordCard::of(
            ResultRows::of($this->offer, $subject, [$id]),
        );
        self::assertSame(
            ['Glasverk', 'glass and glass products · Hobro · 420 heads', 'Makes glass.', $account->id],
            [
                $card(Subject::Accounts, $account->id)?->name, $card(Subject::Accounts, $account->id)?->about(),
                $card(Subject::Accounts, $account->id)?->description(),
                $card(Subject::Accounts, $account->id)?->account(),
            ],
        );
        self::assertSame('no priority · no live signal', $card(Subject::Accounts, $account->id)?->standing());
        Standing::factory()->create([
            'account_id' => $account->id, 'offer_id' => $this->offer->id,
            'lines' => [[1, 'funding', 1, 1, 0, .2, .5], [2, 'hiring', 1, 1, 0, .2, .5], [
                3, 'hiring', 1, 1, 1, .1, .2,
            ]],
            'contacts' => [[$contact->id, 41.7, 'shapes', null]],
        ]);
        self::assertSame(
            'priority 69 · live: funding, hiring',
            $card(Subject::Accounts, $account->id)?->standing(),
        );
        self::assertSame(
            [
                'Ida Lie',
                'Planner · Glasverk · glass and glass products · Hobro · 420 heads',
                'priority 42 · live: funding, hiring',
            ],
            [
                $card(Subject::Contacts, $contact->id)?->name, $card(Subject::Contacts, $contact->id)?->about(),
                $card(Subject::Contacts, $contact->id)?->standing(),
            ],
        );
        Standing::query()->update(['state' => StandingState::Out]);
        self::assertStringStartsWith('no priority', (string) $card(Subject::Contacts, $contact->id)?->standing());
        self::assertNull($card(Subject::Accounts, 0));
    }

    /** @return array<string, array{SplitBy, int, array<string, int>}> */
    public static function splits(): array
    {
        return [
            'evenly' => [SplitBy::Evenly, 3, ['part 1' => 3, 'part 2' => 2, 'part 3' => 2]],
            'by size' => [SplitBy::Headcount, 0, [
                '1,000 heads and more' => 1, '50–249 heads' => 2, '250–999 heads' => 1, 'heads unknown' => 1,
                'under 50 heads' => 2,
            ]],
            'by country' => [SplitBy::Country, 0, ['Denmark' => 3, 'Sweden' => 3, 'country unknown' => 1]],
            'by city' => [SplitBy::City, 0, ['Hobro' => 3, 'Halmstad' => 3, 'city unknown' => 1]],
            'by industry' => [SplitBy::Industry, 0, [
                'other non-metallic mineral products' => 2, 'wholesale and retail trade; repair of motor vehicles '
                    .'and motorcycles' => 1, 'industry unknown' => 4,
            ]],
        ];
    }

    /** @param  array<string, int>  $sizes */
    #[DataProvider('splits')]
    public function test_a_list_is_parted(SplitBy $by, int $parts, array $sizes): void
    {
        $heads = [10, 49, 50, 249, 250, 1000, null];
        $countries = ['DK', 'DK', 'DK', 'SE', 'SE', 'SE', null];
        $ids = [];
        foreach ($heads as $i => $headcount) {
            $ids[] = $account = Account::factory()->create(['headcount' => $headcount])->id;
            if ($countries[$i] !== null) {
                Place::factory()->create([
                    'account_id' => $account, 'country' => $countries[$i],
                    'city' => ['DK' => 'Hobro', 'SE' => 'Halmstad'][$countries[$i]],
                ]);
            }
        }
        foreach (['2310', '23', 'G'] as $i => $code) {
            DB::table('account_industry')->insert(['account_id' => $ids[$i], 'position' => 0, 'code' => $code]);
        }
        $batches = SplitList::split($this->listOf($ids), $by, $parts, $this->rep);
        ksort($batches);
        $named = [];
        foreach ($sizes as $label => $size) {
            $named["Makers · $label"] = $size;
        }
        ksort($named);
        self::assertSame($named, $batches);
        self::assertSame(7, DB::table('list_members')->where('list_id', '<>', KeptList::query()->min('id'))->count());
    }

    public function test_contacts_are_parted_by_how_they_are_reached_best(): void
    {
        $ids = [];
        foreach ([['email', 'valid'], ['email', 'invalid'], ['direct_phone', 'unknown'], null] as $channel) {
            $ids[] = $contact = Contact::factory()->create()->id;
            if ($channel !== null) {
                Channel::factory()->create([
                    'contact_id' => $contact, 'type' => $channel[0], 'state' => $channel[1],
                    'value' => $channel[0] === 'email' ? "a$contact@firm.example" : "+46 31 390 06 0$contact",
                ]);
            }
        }
        $list = $this->listOf($ids);
        $list->update(['subject' => 'contacts']);

        // Where nothing arrives there is no channel.
        self::assertEqualsCanonicalizing(
            ['Makers · e-mail, checked' => 1, 'Makers · no channel' => 2, 'Makers · direct phone' => 1],
            SplitList::split($list, SplitBy::Channel, 0, $this->rep),
        );
    }

    public function test_a_search_is_told_step_by_step(): void
    {
        (new Standings)->refresh();
        $search = Search::from($this->offer, ['on' => 'accounts', 'c' => [
            ['f' => 'country', 'v' => 'DK', 'x' => '1'], ['f' => 'headcount', 'lo' => '40', 'hi' => '1500'],
        ]]);
        self::assertSame([['not country', 'Denmark'], ['headcount', '40 – 1500']], Steps::of($search));
    }

    /** @return list<int> */
    private function accounts(int $count): array
    {
        return Account::factory()->count($count)->create()->modelKeys();
    }

    /** @param  list<int>  $ids */
    private function listOf(
        array $ids,
        string $name = 'Makers',
        string $subject = 'accounts',
        ?User $by = null,
    ): KeptList {
        $name = KeptList::query()->where('name', $name)->exists() ? $name.' '.KeptList::query()->count() : $name;
        $list = KeptList::factory()->create([
            'offer_id' => $this->offer->id, 'name' => $name, 'subject' => $subject,
            'user_id' => ($by ?? $this->rep)->id,
            'search' => http_build_query(['on' => $subject, 'c' => [['f' => 'country', 'v' => 'DK']]]),
        ]);
        DB::table('list_members')->insert(array_map(
            fn (int $id, int $at): array => ['list_id' => $list->id, 'record_id' => $id, 'position' => $at],
            $ids,
            array_keys($ids),
        ));

        return $list;
    }

    private function page(KeptList $list): ListPage
    {
        parse_str($list->search, $query);

        return ListPage::of($this->offer->refresh(), $list, Search::from($this->offer, $query), 1);
    }
}
