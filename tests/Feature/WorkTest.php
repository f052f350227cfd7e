<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\TakeContact;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Decision;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Reason;
use App\Models\Role;
use App\Models\User;
use App\Standings\Standings;
use App\View\Today\Plan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Reasons, approaches, decisions; and who may do what. */
final class WorkTest extends TestCase
{
    public function test_a_reason_freezes_its_evidence_and_expires_when_it_is_no_longer_fresh(): void
    {
        $account = $this->tunhede();
        $reason = $this->reason($account, ['Round B', 'Planners sought']);
        // Hiring holds for 21 days and is fresh for 30 more, from 20 November, 9 o'clock: on 11 January it no longer
        // is.
        self::assertSame('2027-01-11', $reason->expires_on->toDateString());
        Account::query()->whereKey($account->id)->update(['name' => 'Renamed']);
        $account->signals()->delete();

        $this->actingAs($this->rep)->get(route('reasons.show', $reason))->assertOk()->assertSee('Glasverk Tunhede')
            ->assertSee('Planners sought');
        self::assertSame(1, Reason::query()->inState('ready')->count());
        $this->at('2027-01-11T00:00:01Z');
        self::assertSame(
            [0, 1],
            [Reason::query()->inState('ready')->count(), Reason::query()->inState('expired')->count()],
        );
    }

    public function test_a_reason_expires_at_the_latest_on_the_act_by_day(): void
    {
        $account = $this->tunhede();
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title\ntunhede.example;post_engagement;2026-11-22T09:00:00Z;Asked under a post\n",
        );
        (new Standings)->refresh();
        self::assertLessThan('2027-01-31', $this->standing($account)->act_by->toDateString());

        self::assertEquals(
            $this->standing($account)->act_by->min('2027-02-01'),
            $this->reason($account, ['Round B'])->expires_on,
        );
    }

    public function test_a_reason_without_evidence_twice_the_same_or_with_an_open_slot_is_refused(): void
    {
        $account = $this->tunhede();
        $post = fn (array $form) => $this->actingAs($this->rep)->post(
            route('reasons.store', $account),
            $form + ['words' => 'Hello Pernille, how do you find leaks?'],
        );
        $round = (string) $account->signals()->where('title', 'Round B')->value('id');

        $post([])->assertSessionHasErrors('signals');
        $post(['signals' => [$round], 'words' => 'Hello [first name], how are you?'])->assertSessionHasErrors('words');
        $post(['signals' => [$round]])->assertSessionHasNoErrors();
        $post(['signals' => [$round]])->assertSessionHasErrors('words');
        $post(['facts' => ['says “three shifts” of itself'], 'words' => 'You run three shifts, as many do.'])
            ->assertSessionHasNoErrors();
        self::assertSame(
            '2027-01-22',
            Reason::query()->latest('id')->firstOrFail()->expires_on->toDateString(),
            'facts only: sixty days',
        );
    }

    public function test_an_arrow_key_asks_for_one_account_and_plans_no_day(): void
    {
        $this->tunhede();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;keywords\n".implode('', array_map(
            fn (int $i): string => "f$i.example;Firm $i;glass;100;three shifts\n",
            range(1, 30),
        )));
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength\n".implode('', array_map(
            fn (int $i): string => "f$i.example;expansion;2026-11-20;New line $i;.5\n",
            range(1, 30),
        )));
        (new Standings)->refresh();
        $last = Account::query()->where('domain', 'f15.example')->sole();
        $ask = function (array $headers) use ($last): array {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $html = (string) $this->actingAs($this->rep)->get(route('today', ['focus' => $last->id]), $headers)
                ->assertOk()->getContent();

            return [$html, array_sum(array_map(fn (array $one): int => count($one['bindings']), DB::getQueryLog()))];
        };
        [$page, $all] = $ask([]);
        [$fragment, $few] = $ask(['HX-Request' => 'true', 'HX-Target' => 'focus']);

        $words = fn (string $html): string => trim((string) preg_replace('/\s+/', ' ', strip_tags($html)));
        self::assertStringContainsString('Firm 15', $fragment);
        self::assertStringNotContainsString('Firm 16', $fragment);
        self::assertStringContainsString($words($fragment), $words($page), 'the same as on the whole page');
        self::assertLessThan($all / 2, $few, 'ids asked for');
    }

    public function test_words_fit_their_kind_and_greet_whom_they_are_for(): void
    {
        $account = $this->tunhede();
        $olav = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Olav', 'last_name' => 'Berg',
        ]);
        $round = (string) $account->signals()->where('title', 'Round B')->value('id');
        $post = fn (array $form) => $this->actingAs($this->rep)->post(
            route('reasons.store', $account),
            $form + ['signals' => [$round], 'contact' => $olav->id],
        );
        $long = 'Hello Olav, '.str_repeat('how do you find leaks? ', 28);
        $said = fn (): string => session('errors')->first('words');

        $post(['words' => $long, 'channel' => 'connect']);
        self::assertSame('Too long for a connection. These are 655 characters; at most 280 fit.', $said());
        $post(['words' => $long, 'channel' => 'message']);
        self::assertSame('Too long for a message. These are 655 characters; at most 600 fit.', $said());
        $post(['words' => 'Hello Pernille, how do you find leaks?']);
        self::assertSame('The words greet Pernille, and are for Olav Berg. Greet whom they are for.', $said());
        self::assertSame(0, Reason::query()->count());
        $post(['words' => 'Hello team, how do you find leaks?'])->assertSessionHasNoErrors();
        $post(['words' => $long, 'channel' => 'call'])->assertSessionHasNoErrors();
    }

    /** @return array<string, array{string, callable(Contact): bool}> */
    public static function outcomes(): array
    {
        return [
            'bounced' => [
                'bounced',
                fn (Contact $contact): bool => Channel::query()->where('contact_id', $contact->id)->sole()->state
                    ->isDead(),
            ],
            'left the position' => [
                'left',
                fn (Contact $contact): bool => $contact->positions()->sole()->until !== null
                        && KeepOut::query()->sole()->reason === 'left the position',
            ],
            'stop' => ['stop', fn (Contact $contact): bool => KeepOut::query()->sole()->contact_id === $contact->id],
            'later' => [
                'later',
                fn (Contact $contact): bool => Approach::query()->sole()->later_on->toDateString() === '2027-03-01'
                        && KeepOut::query()->count() === 0,
            ],
        ];
    }

    /** @param  callable(Contact): bool  $holds */
    #[DataProvider('outcomes')]
    public function test_a_result_corrects_the_facts(string $result, callable $holds): void
    {
        $account = $this->tunhede();
        $contact = Contact::query()->sole();
        $reason = $this->reason($account, ['Round B'], $contact);
        $this->actingAs($this->rep)
            ->post(
                route('approaches.store', $reason),
                ['kind' => 'email', 'next_step' => 'Call her', 'next_step_on' => '2026-11-25'],
            )
            ->assertSessionHasNoErrors();
        $approach = Approach::query()->sole();
        self::assertEqualsWithDelta(.55, $approach->snapshot['kinds']['new_leader'] * .55, 1e-6);
        $this->patch(route('approaches.update', $approach), ['result' => $result, 'later_on' => '2027-03-01'])
            ->assertSessionHasNoErrors();

        self::assertTrue($holds($contact));
        self::assertSame(1, Reason::query()->inState('used')->count());
    }

    public function test_whoever_is_kept_out_since_is_not_approached_any_more(): void
    {
        $reason = $this->reason($this->tunhede(), ['Round B']);
        KeepOut::factory()->create(
            ['type' => 'account', 'value' => 'x', 'account_id' => $reason->account_id, 'reason' => 'asked us'],
        );
        $this->actingAs($this->rep)->post(route('approaches.store', $reason), ['kind' => 'email'])
            ->assertSessionHasErrors('kind');
        self::assertSame(0, Approach::query()->count());
    }

    public function test_today_leaves_out_what_is_put_off_a_colleagues_or_approached(): void
    {
        $account = $this->tunhede();
        $planned = fn (): int => count(
            array_merge(...array_values((new Plan($this->offer->refresh(), $this->rep))->groups()) ?: [[]]),
        );
        self::assertSame(1, $planned());

        $this->actingAs($this->rep)
            ->post(route('decision.store', $account), ['decision' => 'later', 'until' => '2026-12-01'])
            ->assertSessionHasNoErrors();
        self::assertSame(0, $planned());
        $this->delete(route('decision.destroy', $account));
        self::assertSame(1, $planned());

        $account->update(['owner_id' => $this->lead->id]);
        self::assertSame(0, $planned());
        $account->update(['owner_id' => null]);

        $this->post(route('approaches.store', $this->reason($account, ['Round B'])), ['kind' => 'call']);
        self::assertSame([0, 1], [$planned(), (new Plan($this->offer, $this->rep))->usedToday()]);
    }

    public function test_keeping_makes_an_account_mine_and_dropping_takes_it_out_until_it_is_taken_back(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)
            ->post(route('decision.store', $account), ['decision' => 'kept', 'next' => '/accounts'])
            ->assertRedirect('/accounts');
        self::assertSame($this->rep->id, $account->refresh()->owner_id);
        $this->post(route('decision.store', $account), ['decision' => 'dropped']);
        self::assertSame('dropped by Mira', $this->standing($account)->cause);
        $this->delete(route('decision.destroy', $account));
        self::assertNull($this->standing($account)->cause);
    }

    public function test_a_rep_opens_neither_rules_nor_team_not_by_address_either(): void
    {
        $this->actingAs($this->rep);
        foreach (
            [
                '/rules', route('rules.edit', $this->offer), route('rules.version', $this->offer->rules), '/team',
            ] as $address
        ) {
            $this->get($address)->assertForbidden();
        }
        foreach ([route('rules.store', $this->offer), route('rules.preview', $this->offer)] as $address) {
            $this->post($address, ['version' => 1, 'criteria' => [], 'kinds' => []])->assertForbidden();
        }
        $this->post('/team', ['name' => 'New', 'role' => 'admin'])->assertForbidden();
        $this
            ->patch(
                route('team.update', $this->rep),
                ['name' => 'Mira', 'role' => 'admin', 'email' => 'mira@blasvik.example'],
            )
            ->assertForbidden();
        $this->post('/offers', ['name' => 'Mine'])->assertForbidden();
        self::assertSame(Role::Rep, $this->rep->refresh()->role);
    }

    public function test_an_account_is_kept_by_one_and_the_next_is_told_whose_it_is(): void
    {
        $account = $this->tunhede();
        $anton = $this->person('Anton', Role::Rep);
        $keep = fn (User $who) => $this->actingAs($who)->from('/accounts')
            ->post(route('decision.store', $account), ['decision' => 'kept']);
        $keep($this->rep)->assertSessionHas('said', 'Glasverk Tunhede is kept, and yours.');
        $keep($anton)->assertSessionHasErrors(
            ['decision' => 'Mira keeps Glasverk Tunhede. Nothing was changed; agree with them, or ask a lead.'],
        );
        $this->post(route('decision.store', $account), ['decision' => 'dropped'])->assertSessionHasErrors('decision');
        $this->delete(route('decision.destroy', $account))->assertSessionHasErrors('decision');
        self::assertSame(['kept', $this->rep->id], array_values(
            Decision::query()->sole()->only('decision', 'user_id'),
        ));
        $this->get(route('accounts.show', $account))->assertDontSeeText('Keep, and next')
            ->assertDontSeeText('Drop, and next')->assertDontSeeText('No longer keep');
        $this->actingAs($this->rep)->get(route('accounts.show', $account))->assertSeeText('No longer keep')
            ->assertSeeText('Drop, and next');
        $keep($this->lead)->assertSessionHas('said', "Glasverk Tunhede is kept, and Mira's.");
        $this->delete(route('decision.destroy', $account))->assertSessionHasNoErrors();
        self::assertSame([0, null], [Decision::query()->count(), $account->refresh()->owner_id]);
    }

    public function test_whom_a_colleague_has_reserved_is_not_approached_and_it_is_said_who(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        TakeContact::take($this->offer, $contact, $this->person('Anton', Role::Rep));
        $send = fn () => $this->actingAs($this->rep)->post(
            route('accounts.approach', $account),
            ['kind' => 'call', 'contact' => $contact->id, 'words' => 'Good morning.'],
        );
        $send()->assertSessionHasErrors([
            'kind' => 'This approach was not recorded: Anton has reserved Pernille Askov-Rye until Tuesday 24 '
                .'November.',
        ]);
        $this->at('2026-11-25T09:00:00Z');
        $send()->assertSessionHasNoErrors();
    }

    public function test_what_is_anothers_stays_anothers(): void
    {
        $reason = $this->reason($this->tunhede(), ['Round B']);
        $this->actingAs($this->rep)->post(route('approaches.store', $reason), ['kind' => 'email']);
        $other = $this->person('Anton', Role::Rep);
        $this->actingAs($other)->patch(route('approaches.update', Approach::query()->sole()), ['result' => 'no'])
            ->assertForbidden();
        $this->delete(route('reasons.destroy', $reason))->assertForbidden();
        $this->actingAs($this->lead)->patch(route('approaches.update', Approach::query()->sole()), ['result' => 'no'])
            ->assertSessionHasNoErrors();
    }

    public function test_signing_in_is_needed_throttled_and_refused_to_those_who_never_do(): void
    {
        $this->get('/accounts')->assertRedirect('/sign-in');
        $this->rep->update(['signs_in' => false]);
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertSessionHasErrors('email');
        $this->rep->update(['signs_in' => true]);
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'wrong']);
        }
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertTooManyRequests();
        config(['luftig.demo' => false]);
        $this->post('/sign-in/demo', ['user' => $this->rep->id])->assertNotFound();
    }

    public function test_a_fragment_that_arrives_late_brings_no_session_back(): void
    {
        $page = $this->actingAs($this->rep)->get('/finder')->assertOk();
        self::assertNotSame([], $page->headers->getCookies(), 'a page does');
        $fragment = ['HX-Request' => 'true'];
        foreach (
            [
                $this->get('/go?q=a', $fragment),
                $this->post('/reads', ['q' => 'air'], $fragment),
                $this->get('/finder/words?on=contacts', $fragment),
            ] as $response
        ) {
            self::assertSame([], $response->assertOk()->headers->getCookies());
        }
    }

    public function test_a_fragment_takes_nothing_away_that_the_next_page_is_to_say(): void
    {
        $this->actingAs($this->rep)->patch('/pace', ['pace' => 12])->assertSessionHas('said');
        $this->get('/go?q=a', ['HX-Request' => 'true'])->assertOk();
        $this->post('/reads', ['q' => 'air'], ['HX-Request' => 'true'])->assertOk();
        $this->get('/pace')->assertSee('Your pace is 12 approaches a day.');
        $this->get('/pace')->assertDontSee('Your pace is 12 approaches a day.');
    }

    public function test_every_screen_answers_with_data_and_without(): void
    {
        $screens = [
            '/', '/accounts', '/accounts?view=picture', '/accounts?tab=waiting&sort=name&q=x',
            '/accounts?tab[]=x&q[]=y&sort=nonsense', '/reasons', '/reasons?state=expired', '/intake', '/keep-out',
            '/pace', '/go?q=tun', '/rules/'.$this->offer->id, '/team',
        ];
        foreach ([false, true] as $filled) {
            $filled && $this->tunhede();
            foreach ($screens as $screen) {
                $this->actingAs($this->lead)->get($screen)->assertOk();
            }
        }
        $this->get('/accounts/'.Account::query()->sole()->id)->assertOk()->assertSee('act by 31 January');
        $this->get('/accounts/999999')->assertNotFound();
        self::assertStringContainsString("default-src 'self'", (string) $this->get('/')->headers->get(
            'Content-Security-Policy',
        ));
    }

    /** @param  list<string>  $titles of the signals it rests on */
    private function reason(Account $account, array $titles, ?Contact $contact = null): Reason
    {
        $this->actingAs($this->rep)->post(route('reasons.store', $account), [
            'words' => 'Hello, how do you find leaks? '.uniqid(),
            'contact' => $contact?->id,
            'signals' => $account->signals()->whereIn('title', $titles)->pluck('id')->map(strval(...))->all(),
        ])->assertSessionHasNoErrors();

        return Reason::query()->latest('id')->firstOrFail();
    }

    public function test_a_query_keeps_out_every_account_that_it_finds_also_those_who_come_later(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;keywords\nmaker.example;Maker;glass;three shifts\n"
                ."handel.example;Glas Handel;glass;wholesale\n",
        );
        (new Standings)->refresh();
        $this->actingAs($this->rep)->post(route('keep-out.store'), ['query' => '(wholesale', 'reason' => 'traders'])
            ->assertSessionHasErrors(['query' => 'A parenthesis opens here and is not closed. (at character 1)']);
        $this
            ->post(route('keep-out.store'), ['query' => 'wholesale OR "trading house"', 'reason' => 'traders'])
            ->assertSessionHas(
                'said',
                '1 account is kept out by “wholesale OR "trading house"”; whoever comes in later and matches is, too.',
            );
        self::assertSame(['kept_out', 'traders', 'waiting'], [
            $this->standing('handel.example')->state->value,
            $this->standing('handel.example')->cause,
            $this->standing('maker.example')->state->value,
        ]);
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;description\nlater.example;Later;glass;A trading house.\n"
                ."maker.example;Maker;glass;Also wholesale.\n",
        );
        (new Standings)->refresh();
        self::assertSame(
            ['kept_out', 'kept_out'],
            [$this->standing('later.example')->state->value, $this->standing('maker.example')->state->value],
        );
        self::assertSame([], Search::from($this->offer, ['on' => 'accounts'])->ids(), 'a visible step from the start');
        $this->delete(route('keep-out.destroy', KeepOut::query()->sole()))->assertRedirect();
        self::assertSame('waiting', $this->standing('handel.example')->state->value);
        $this->post(route('keep-out.store'), ['query' => 'wholesale', 'reason' => 'traders', 'until' => '2026-12-01']);
        $this->at('2026-12-02T09:00:00Z');
        (new Standings)->all();
        self::assertSame('waiting', $this->standing('handel.example')->state->value, 'it ended');
    }

    public function test_agencies_are_recognised_and_one_that_is_none_stays_none_through_a_re_import(): void
    {
        $file = "domain;name;industry;description\nnordbemanning.example;Nord Bemanning AB;glass;\n"
            ."jobb.example;Jobbverk;staffing;\n"
            ."client.example;Verkstad;glass;On behalf of our client we seek engineers.\n"
            ."maker.example;Maker;glass;Our clients make glass.\n";
        $this->bring(IntakeKind::Accounts, $file);
        (new Standings)->refresh();
        $causes = fn (): array => array_map(
            fn (string $domain): ?string => $this->standing("$domain.example")->cause,
            ['nordbemanning', 'jobb', 'client', 'maker'],
        );
        self::assertSame(
            [
                'agency, by its name: “bemanning”', 'agency, by its industry',
                'agency, by its wording: “on behalf of our client”', null,
            ],
            $causes(),
        );
        $account = Account::query()->where('domain', 'nordbemanning.example')->sole();
        $this->actingAs($this->rep)->get(route('accounts.show', $account))->assertSeeText('It is no agency');
        $this->patch(route('accounts.update', $account), ['no_agency' => '1'])->assertSessionHas('undo');
        self::assertNull($causes()[0]);
        $this->bring(IntakeKind::Accounts, str_replace('Nord Bemanning AB', 'Nord Bemanning Group', $file));
        (new Standings)->refresh();
        self::assertNull($causes()[0]);
        $this->get('/keep-out')->assertOk()->assertSeeText('2 agencies');
    }
}
