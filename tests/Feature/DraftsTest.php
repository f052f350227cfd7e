<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\Titles;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\Reason;
use App\Models\Standing;
use App\Reasons\AngleSet;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\Reasons\Proposal;
use App\Standings\SignalLine;
use App\Standings\Standings;
use App\View\Accounts\Ranking;
use Luftig\Core\Reason\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is proposed to be said: by which angle, in which words, in whose language. */
final class DraftsTest extends TestCase
{
    private const SLOTS = [
        'first_name' => 'Anne-Sophie', 'last_name' => 'Askov-Rye', 'account' => 'Glasverk Tunhede',
        'role' => 'maintenance planner', 'a_role' => 'a maintenance planner', 'place' => 'Hobro',
        'topic' => 'leak surveys', 'money' => '€12 million',
        'technology' => 'Vedliko Plan', 'colleague' => 'Pernille', 'from' => 'Fjernlund Papir', 'percent' => '12 %',
        'question' => 'How do you know what your air network loses?',
        'school' => 'Kråkvik skola', 'teammate' => 'Greta Nystierna',
        'story_customer' => 'a maker of vehicle parts of 1,200 in the Netherlands',
        'story_problem' => 'the leaks were known and never repaired',
        'story_then' => 'We sorted them by cost and came back after a month',
        'story_result' => 'lost air fell from 34 to 12 %, and the order was not needed',
    ];

    /** @return array<string, array{string}> */
    public static function sets(): array
    {
        return [
            'for any trade' => [__DIR__.'/../../app/Reasons/data/angles.json'],
            'of the demo’s first offer' => [__DIR__.'/../../database/demo/angles-leak-survey.json'],
            'of its second' => [__DIR__.'/../../database/demo/angles-air-purity.json'],
        ];
    }

    #[DataProvider('sets')]
    public function test_all_that_ships_can_be_said_fits_and_tells_no_time(string $path): void
    {
        $set = (array) json_decode((string) file_get_contents($path), true);
        self::assertGreaterThanOrEqual(15, count($set));
        self::assertCount(count($set), array_unique(array_column($set, 'name')));
        self::assertSame([['fact' => 'fits']], $set[count($set) - 1]['needed'], 'the last rests on nothing else');
        foreach ($set as $one) {
            self::assertSame([], Words::of('message', $one['say'], self::SLOTS)->open, $one['say']);
            foreach ($one['words'] as $language => $words) {
                $own = array_intersect(['comment', 'call'], array_keys($words));
                foreach (['message', 'connect', 'email', 'letter', ...$own] as $kind) {
                    $template = $words[$kind] ?? ($kind === 'email' ? "Subject: {$words['subject']}\n\n" : '')
                        .$words['message'];
                    $draft = Words::of($kind, $template, self::SLOTS);
                    $what = "{$one['name']}, $kind, $language: {$draft->text}";
                    self::assertTrue($draft->fits, $what);
                    self::assertDoesNotMatchRegularExpression(
                        '/[\[\]{}]|\b(today’s|yesterday|recently|last week|ago)\b/', $draft->text, $what,
                    );
                    self::assertStringContainsString('?', $kind === 'connect' ? '?' : $draft->text, $what);
                }
            }
        }
    }

    public function test_the_heaviest_angle_is_proposed_and_the_others_are_beside_it(): void
    {
        $this->leak();
        $draft = $this->draft($this->tunhede());
        self::assertSame('New head, and planners sought', $draft->angle);
        self::assertSame('Ask how they will find the leaks before the new hands come', $draft->headline());
        self::assertStringStartsWith('Hello Pernille, new in the position, and planners still sought', $draft->words());
        self::assertSame('Before the planner starts', $draft->subject());
        self::assertContains('New in the position', $draft->others);
        self::assertContains('They fit', $draft->others);
        self::assertSame(['Round B', 'Pernille joined', 'Planners sought'], array_slice([
            'Round B', ...array_map(fn (SignalLine $line): string => $line->signal->title, $draft->restsOn),
        ], 0, 3));
        $other = $this->draft($this->account('tunhede.example'), angle: 'New money');
        self::assertSame('Ask what part of the new money the air takes', $other->headline());
        // Each is met once on the way round.
        $round = [];
        for ($angle = $draft->angle, $i = 0; $i <= count($draft->others); $i++) {
            $angle = $this->draft($this->account('tunhede.example'), angle: $angle)->others[0];
            $round[] = $angle;
        }
        self::assertSame([...$draft->others, $draft->angle], $round);
        self::assertStringContainsString('congratulations on the round. If a part', $other->words(), 'no sum is known');
    }

    public function test_what_was_used_rests_and_nobody_there_hears_it_twice(): void
    {
        $this->leak();
        $tunhede = $this->tunhede();
        $this->actingAs($this->rep)->post(route('accounts.approach', $tunhede), [
            'kind' => 'email', 'contact' => Contact::query()->value('id'),
            'words' => $this->draft($tunhede)->words(),
        ])->assertSessionHasNoErrors();
        $reason = Reason::query()->sole();
        self::assertSame('New head, and planners sought', $reason->evidence['angle']);
        self::assertCount(2, $reason->evidence['signals']);
        self::assertSame(1, Approach::query()->count());
        $used = AngleUse::at([$tunhede->id])[$tunhede->id];
        self::assertSame('New head, and planners sought', $used[0][0]);
        self::assertSame('New in the position', $this->draft($tunhede, used: $used)->angle);
        $this->at('2027-02-22T09:00:00Z');
        self::assertSame([], AngleUse::at([$tunhede->id]), 'after ninety days it is new again');
    }

    public function test_words_are_in_the_language_of_the_country_where_they_are_written_in_it(): void
    {
        $this->leak();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\n"
            ."moorloh.example;Moorloh Folie;plastics;200;Germany\nlahti.example;Lahti Lasi;glass;90;Finland\n");
        $this->bring(IntakeKind::Signals, "domain;kind;date;title\n"
            ."moorloh.example;hiring;2026-11-20;Maintenance planner sought\n"
            ."lahti.example;hiring;2026-11-20;SHIFT ELECTRICIAN sought, one of 3 openings\n");
        (new Standings)->refresh();
        $german = $this->draft($this->account('moorloh.example'));
        self::assertSame(['Planner sought', 'de'], [$german->angle, $german->language]);
        self::assertStringStartsWith('Guten Tag, Sie suchen jemanden', $german->words());
        self::assertSame('A planner sought: bring the list they will need', $german->headline(), 'for the rep');
        $finnish = $this->draft($this->account('lahti.example'));
        self::assertSame('en', $finnish->language);
        self::assertStringStartsWith(
            'Hello, you are looking for a shift electrician at Lahti Lasi.', $finnish->words(),
        );
    }

    public function test_slots_are_filled_from_what_the_signals_say(): void
    {
        $cases = [
            ['funding', 'Round B', ['round' => 'B', 'eur' => 12_340_000.0], 'the round of €12 million'],
            ['funding', 'Round B', ['eur' => 1_500_000.0], 'the round of €1.5 million'],
            ['tech_dropped', 'Tryklog no longer named', [], 'it seems that Tryklog is no longer in use'],
            ['tech_adopted', 'Vedliko Plan adopted', ['technology' => 'Vedliko Plan'], 'work with Vedliko Plan'],
            ['growth', 'Headcount up', ['before' => 100, 'after' => 112], 'by 12 % in a quarter'],
        ];
        foreach ($cases as $i => [$kind, $title, $facts, $says]) {
            $this->bring(
                IntakeKind::Accounts, "domain;name;industry;headcount;country\na$i.example;Firm $i;glass;90;SE\n",
            );
            $account = $this->account("a$i.example");
            $account->signals()->create([
                'kind' => $kind, 'title' => $title, 'occurred_at' => now()->subDay(), 'strength' => 1,
                'confidence' => 1, 'facts' => $facts, 'fingerprint' => sha1((string) $i),
            ]);
            (new Standings)->refresh($account->id);
            self::assertStringContainsString($says, $this->draft($account->refresh())->words());
        }
    }

    public function test_nobody_is_told_that_their_own_chair_is_sought(): void
    {
        $this->leak();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\na.example;Firm A;glass;300;DE\n");
        $account = $this->account('a.example');
        $person = Contact::factory()->create(['account_id' => $account->id]);
        $this->titled($person, 'Werkleitung');
        $account->signals()->create([
            'kind' => 'hiring', 'title' => 'Plant manager sought', 'occurred_at' => now()->subDay(), 'strength' => 1,
            'confidence' => 1, 'facts' => ['role' => 'Plant manager'], 'fingerprint' => sha1('a'),
        ]);
        (new Standings)->refresh($account->id);
        self::assertSame('They fit', $this->draft($account)->angle);
        $this->titled($person, 'Leitung Instandhaltung');
        self::assertSame('A role that is sought', $this->draft($account)->angle);
        // A craftsman is told of another craftsman: that is no chair of theirs.
        $this->titled($person, 'Mechaniker Produktion');
        self::assertSame('A role that is sought', $this->draft($account)->angle);
    }

    public function test_a_colleague_who_is_called_like_the_reader_is_named_in_full(): void
    {
        $this->leak();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\na.example;Firm A;glass;300;PL\n");
        $account = $this->account('a.example');
        Contact::factory()->create(['account_id' => $account->id, 'first_name' => 'Hanna', 'last_name' => 'Brzezski']);
        $new = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Hanna', 'last_name' => 'Brzezecka',
        ]);
        $account->signals()->create([
            'kind' => 'new_leader', 'title' => 'Hanna Brzezecka joined as Energy Manager', 'contact_id' => $new->id,
            'occurred_at' => now()->subDays(20), 'strength' => 1, 'confidence' => 1, 'fingerprint' => sha1('a'),
        ]);
        (new Standings)->refresh($account->id);
        $words = fn (): string => $this->draft($account)->words();
        self::assertStringContainsString('Hello Hanna, I saw that Hanna Brzezecka has joined', $words());
        $new->update(['first_name' => 'Marek']);
        self::assertStringContainsString('Hello Hanna, I saw that Marek has joined', $words());
    }

    private function titled(Contact $person, string $title): void
    {
        $person->update(['title' => $title, 'reading' => (new Titles)->read($title, 'DE', 300)]);
    }

    public function test_where_nothing_may_be_said_it_begins_with_what_they_do(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\nx.example;Firm;glass;90;SE\n");
        $this->bring(IntakeKind::Signals, "domain;kind;date;title\n"
            ."x.example;own_engagement;2026-11-22;Looked at a page\n"
            ."x.example;topic_interest;2026-11-22;Reads about leaks\n");
        (new Standings)->refresh();
        $draft = $this->draft($this->account('x.example'));
        self::assertSame(['They fit', []], [$draft->angle, $draft->restsOn]);
        self::assertStringNotContainsString('page', $draft->words());
        self::assertStringContainsString('May I ask who looks after that with you?', $draft->words());
        // A team whose own angles cannot be said says that too.
        $this->offer->rules->update(['angles' => [[
            'name' => 'Own', 'say' => 'x', 'needed' => [['kind' => 'funding']],
            'words' => ['en' => ['subject' => 's', 'message' => '{{money}}']],
        ]]]);
        self::assertSame('They fit', $this->draft($this->account('x.example'))->angle);
        self::assertCount(1, AngleSet::of($this->offer->refresh())->angles);
    }

    public function test_today_shows_the_angle_how_it_reads_and_another_one_on_a_key(): void
    {
        $this->leak();
        $this->tunhede();
        $page = $this->actingAs($this->rep)->get('/')->assertOk()
            ->assertSee('Ask how they will find the leaks before the new hands come')
            ->assertSee('New head, and planners sought')->assertSee('Another angle');
        self::assertMatchesRegularExpression('~\d+ words, one question, read in \d+ s~', (string) $page->getContent());
        preg_match('~href="([^"]*angle=[^"]*)"[^>]*>\s*Another angle~', (string) $page->getContent(), $link)
            ?: preg_match('~href="([^"]*focus=[^"]*angle=[^"]*)"~', (string) $page->getContent(), $link);
        $this->get(html_entity_decode($link[1]))->assertSee('New in the position')
            ->assertSee('In the first weeks one still hears the hissing');
    }

    /** The demo's angles. */
    private function leak(): void
    {
        $this->offer->rules->update(['angles' => json_decode(
            (string) file_get_contents(__DIR__.'/../../database/demo/angles-leak-survey.json'), true,
        )]);
    }

    /** @param  list<array{string, int|string, float}>  $used */
    private function draft(Account $account, ?string $angle = null, array $used = []): Proposal
    {
        $account->load('places', 'technologies');
        $standing = Standing::query()->with('ruleSet')->where('account_id', $account->id)
            ->where('offer_id', $this->offer->id)->firstOrFail();
        $lines = Ranking::lines($this->offer, $standing->newCollection([$standing]))[$account->id];
        $to = Contact::query()->where('account_id', $account->id)->orderBy('id')->first();

        return Drafts::of($this->offer->load('rules'), $account, $to, $lines, angle: $angle, used: $used);
    }

    private function account(string $domain): Account
    {
        return Account::query()->where('domain', $domain)->sole();
    }
}
