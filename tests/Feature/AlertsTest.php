<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\Strike;
use App\Jobs\MailAlerts;
use App\Mail\AlertDigest;
use App\Models\Account;
use App\Models\Alert;
use App\Models\AlertAbout;
use App\Models\AlertedSignal;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Signal;
use App\Models\StruckSignal;
use App\Standings\Standings;
use DOMDocument;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;

/** Of what reps are told as it comes in: what meets an alert of theirs, once, in the ways they chose. */
final class AlertsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->tunhede();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\n"
            ."moorloh.example;Moorloh Folie;plastics;200;Germany\n");
        (new Standings)->refresh();
        $this->at('2026-11-23T10:00:00Z');
    }

    public function test_what_meets_an_alert_is_told_once(): void
    {
        $this->alert([]);
        $this->alert(['kinds' => ['expansion'], 'by_mail' => true]);
        $this->comes('tunhede.example;expansion;2026-11-23;New hall');
        self::assertSame(['New hall'], $this->told());
        self::assertSame(
            [true, true, false],
            AlertedSignal::query()->get()->map(fn (AlertedSignal $one): array => [
                $one->on_today, $one->by_mail, $one->in_feed,
            ])->sole(),
            'two alerts tell of it together, in the ways of both',
        );
        // Struck out and taken back, it is the same signal.
        $signal = Signal::query()->where('title', 'New hall')->sole();
        Strike::out($signal, $this->rep, 'wrong');
        (new Standings)->refresh();
        self::assertSame([], $this->told());
        Strike::back(StruckSignal::query()->sole());
        (new Standings)->refresh();
        self::assertSame(1, AlertedSignal::query()->count());
    }

    public function test_only_new_live_signals_that_count_are_told(): void
    {
        $this->alert([]);
        $this->offer->rules->update(['kinds' => ['news' => ['counts' => 'ignored']]]);
        $this->comes(
            'tunhede.example;expansion;2026-11-23;New hall', 'tunhede.example;expansion;2024-02-01;Old hall',
            'tunhede.example;news;2026-11-23;Named', 'tunhede.example;hiring_freeze;2026-11-22;They stop hiring',
            'tunhede.example;expansion;2027-01-10;Hall to open',
        );
        self::assertSame(['Hall to open', 'New hall', 'They stop hiring'], $this->told());
        self::assertNotContains('Round B', $this->told(), 'what was there before the alert is no news');
    }

    public function test_each_alert_is_about_whom_it_says(): void
    {
        $mine = $this->account('moorloh.example');
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'accounts']);
        DB::table('list_members')->insert(['list_id' => $list->id, 'record_id' => $mine->id, 'position' => 0]);
        $person = Contact::query()->sole();
        $cases = [
            [['about' => AlertAbout::Everyone], ['B', 'Own', 'T']],
            [['about' => AlertAbout::Mine], ['B']],
            [['about' => AlertAbout::List, 'list_id' => $list->id], ['B']],
            [['about' => AlertAbout::Account, 'account_id' => $this->account('tunhede.example')->id], ['Own', 'T']],
            [['about' => AlertAbout::Known], ['Own']],
            [['about' => AlertAbout::Everyone, 'kinds' => ['post_engagement', 'news']], ['Own']],
        ];
        $mine->update(['owner_id' => $this->rep->id]);
        Approach::factory()->create([
            'contact_id' => $person->id, 'account_id' => $person->account_id, 'user_id' => $this->rep->id,
            'offer_id' => $this->offer->id,
        ]);
        foreach ($cases as $n => [$alert, $expected]) {
            DB::beginTransaction();
            $this->alert($alert);
            $this->comes(
                'tunhede.example;expansion;2026-11-23;T', 'moorloh.example;expansion;2026-11-23;B',
                'tunhede.example;post_engagement;2026-11-23;Own;pernille@tunhede.example',
            );
            self::assertSame($expected, $this->told(), "case $n");
            DB::rollBack();
        }
    }

    public function test_nobody_is_told_of_what_they_may_not_approach(): void
    {
        $this->alert([]);
        $this->account('moorloh.example')->update(['owner_id' => $this->lead->id]);
        KeepOut::factory()->create(['type' => 'domain', 'value' => 'tunhede.example']);
        $this->comes(
            'tunhede.example;expansion;2026-11-23;Kept out', 'moorloh.example;expansion;2026-11-23;Another’s',
        );
        self::assertSame([], $this->told());
    }

    public function test_today_shows_what_is_just_in_until_it_is_seen(): void
    {
        $this->alert([]);
        $this->comes('tunhede.example;expansion;2026-11-23;New <hall>');
        $this->actingAs($this->rep)->get('/')->assertSee('Just in')->assertSee('New <hall>');
        $this->get(route('alerts.just-in'))->assertSee('New <hall>')->assertDontSee('<html', false);
        $this->actingAs($this->lead)->get('/')->assertDontSee('Just in');
        $told = AlertedSignal::query()->sole();
        $this->post(route('alerts.seen'), ['until' => $told->id]);
        self::assertNull($told->refresh()->seen_at, 'nobody ticks off what another was told');
        // What came in while the page was open is not ticked off with it.
        $this->actingAs($this->rep)->post(route('alerts.seen'), ['until' => $told->id - 1]);
        $this->get('/')->assertSee('Just in');
        $this->post(route('alerts.seen'), ['until' => $told->id])->assertRedirect(route('today'));
        $this->get('/')->assertDontSee('Just in');
    }

    public function test_a_digest_goes_out_once_on_working_days_at_the_hour_of_the_rep(): void
    {
        Mail::fake();
        $this->rep->update(['time_zone' => 'Europe/Helsinki', 'digest_hour' => 8]);
        $this->alert(['on_today' => false, 'by_mail' => true]);
        $this->comes('tunhede.example;expansion;2026-11-23;New hall');
        $mailed = function (string $at): int {
            $this->at($at);
            (new MailAlerts)->handle();

            return Mail::queued(AlertDigest::class)->count();
        };
        // Tuesday, 7:59 in Helsinki, and a minute later.
        self::assertSame([0, 1, 1], [
            $mailed('2026-11-24T05:59:00Z'), $mailed('2026-11-24T06:00:00Z'), $mailed('2026-11-24T06:10:00Z'),
        ]);
        $mail = Mail::queued(AlertDigest::class)->sole();
        $mail->assertHasSubject('Luftig: 1 new signal');
        $mail->assertSeeInText("Glasverk Tunhede\n- New hall");
        self::assertSame(1, $mailed('2026-11-25T06:00:00Z'), 'no mail says nothing');
        $this->at('2026-11-28T06:00:00Z');
        $this->comes('tunhede.example;expansion;2026-11-28;Second hall');
        self::assertSame(1, $mailed('2026-11-28T07:00:00Z'), 'on Saturday nobody reads it');
        self::assertSame(2, $mailed('2026-11-30T06:00:00Z'));
    }

    public function test_a_feed_of_ones_own_is_read_without_signing_in_by_whoever_has_its_address(): void
    {
        $this->alert(['on_today' => false, 'in_feed' => true]);
        $this->comes("tunhede.example;own_engagement;2026-11-23;Looked \x02at & <asked>");
        $address = $this->actingAs($this->rep)->post(route('alerts.address'))->assertRedirect()
            ->getSession()->get('address');
        $this->post('/sign-out');
        $xml = (string) $this->get($address)->assertOk()
            ->assertHeader('Content-Type', 'application/atom+xml; charset=UTF-8')->getContent();
        $document = new DOMDocument;
        self::assertTrue($document->loadXML($xml));
        self::assertSame(
            ['Signals for Mira', 'Glasverk Tunhede: Looked at & <asked>'],
            array_map(
                fn (int $at): ?string => $document->getElementsByTagName('title')->item($at)?->textContent,
                [0, 1],
            ),
        );
        $this->get(str_replace('/alerts/', '/alerts/x', $address))->assertNotFound();
        $this->actingAs($this->rep)->post(route('alerts.address'));
        $this->get($address)->assertNotFound();
        $other = $this->actingAs($this->rep)->post(route('alerts.address'))->getSession()->get('address');
        $this->get($other)->assertOk();
        $this->delete(route('alerts.end-address'));
        $this->get($other)->assertNotFound();
        $last = $this->post(route('alerts.address'))->getSession()->get('address');
        $this->post('/sign-out');
        $this->get($last)->assertOk();
        $this->rep->update(['signs_in' => false]);
        $this->get($last)->assertNotFound();
    }

    public function test_alerts_are_made_and_removed_by_whose_they_are(): void
    {
        $this->actingAs($this->rep)->post(route('alerts.store'), [
            'about' => 'everyone', 'kinds' => ['funding', 'hiring'], 'ways' => ['on_today', 'by_mail'],
        ])->assertSessionHas('said',
            'You will be told: funding and hiring of all accounts that I may approach, on Today and by mail.');
        $alert = Alert::query()->sole();
        $this->get(route('alerts.index'))->assertSee('Funding and hiring of all accounts');
        $this->actingAs($this->lead)->delete(route('alerts.destroy', $alert))->assertForbidden();
        $this->get(route('alerts.index'))->assertDontSee('Funding and hiring of all');
        $this->actingAs($this->rep)->delete(route('alerts.destroy', $alert))->assertSessionHas('undo');
        self::assertSame(0, Alert::query()->count());
        foreach ([
            'about' => [], 'ways' => ['about' => 'everyone'], 'list_id' => ['about' => 'list', 'ways' => ['on_today']],
            'kinds.0' => ['about' => 'mine', 'ways' => ['on_today'], 'kinds' => ['gossip']],
            'account_id' => ['about' => 'account', 'account_id' => 99999, 'ways' => ['on_today']],
        ] as $field => $given) {
            $this->post(route('alerts.store'), $given)->assertSessionHasErrors($field);
        }
        $this->patch(route('alerts.digest'), ['digest_hour' => 24, 'time_zone' => 'Nowhere'])
            ->assertSessionHasErrors(['digest_hour', 'time_zone']);
        $this->patch(route('alerts.digest'), ['digest_hour' => 9, 'time_zone' => 'Europe/Oslo']);
        self::assertSame([9, 'Europe/Oslo'], [$this->rep->refresh()->digest_hour, $this->rep->time_zone]);
    }

    /** @param  array<string, mixed>  $more */
    private function alert(array $more): void
    {
        Alert::factory()->create($more + ['user_id' => $this->rep->id, 'offer_id' => $this->offer->id]);
    }

    private function comes(string ...$rows): void
    {
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;person\n".implode("\n", $rows)."\n");
        (new Standings)->refresh();
    }

    /** @return list<string> titles, in their order */
    private function told(): array
    {
        return array_values(AlertedSignal::query()->told($this->rep)->get()
            ->map(fn (AlertedSignal $one): string => (string) $one->signal?->title)->sort()->all());
    }

    private function account(string $domain): Account
    {
        return Account::query()->where('domain', $domain)->sole();
    }
}
