<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\Titles;
use App\Jobs\RunLookUps;
use App\LookUps\FigureGains;
use App\Models\Account;
use App\Models\Budget;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Figure;
use App\Models\KeepOut;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Role;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\StandingOrder;
use App\Standings\Standings;
use App\Support\Format;
use App\Support\Invariants;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Tests\TestCase;

/** Figures of companies that services know, where one would move the ranking; and what is ordered for every night. */
final class FiguresTest extends TestCase
{
    use HasOutside {
        setUp as setUpOutside;
    }

    private LookUpService $service;

    protected function setUp(): void
    {
        $this->setUpOutside();
        config(['luftig.look_up_seconds' => 1]);
        $this->offer->rules->update(['criteria' => [
            ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 1, 'range' => [100, 200]],
            ['name' => 'pays', 'field' => 'revenue', 'mode' => 'prefer', 'weight' => 1, 'range' => [10e6, null]],
        ]]);
        $this->service = LookUpService::factory()->create([
            'name' => 'Siffergranskog', 'does' => 'know', 'price' => 1,
            'address' => 'http://127.0.0.1:'.self::$port.'/siffergranskog',
        ])->refresh();
        Budget::query()->create(['credits' => 10]);
        $this->actingAs($this->rep);
    }

    public function test_what_a_figure_could_move_is_the_mean_change_at_the_quarters_of_its_trade(): void
    {
        // Eight of the trade: a quarter earn less than 4.5 million, and more than 15.
        foreach ([1, 3, 5, 9, 10, 12, 24, 30] as $i => $millions) {
            $this->account("known$i", 150, $millions * 1e6, isRanked: false);
        }
        $asked = $this->account('asked', 150, null);
        $whole = $this->account('whole', 150, 20e6);
        (new Standings)->all();
        $gains = FigureGains::for($this->offer->load('rules'), $this->rep, 10);
        self::assertSame(
            [[$asked->id, Figure::Revenue]],
            array_map(fn (array $one): array => [$one['standing']->account_id, $one['figure']], $gains->proposed),
        );
        $one = $gains->proposed[0];
        // Of 10 million: 1 from there on, and log(4.5 ÷ 5) < 0, so 0 below 5. Fit ½ (1 + m), so .5 and 1.
        $now = $this->priority($asked);
        self::assertEqualsWithDelta($this->priority($whole), $one['high'], .1);
        self::assertLessThan($now, $one['low']);
        $mean = (abs($one['low'] - $now) + abs($one['high'] - $now)) / 2;
        self::assertEqualsWithDelta(.5 * $mean, $one['line']->gain(), 1e-9, 'asked nothing yet: half find it');
        $this->get(route('look-ups'))->assertSeeText('1 figure for 1 credit would move the ranking, up or down.')
            ->assertSeeText(Format::priority($one['low']).'–'.Format::priority($one['high']));
        self::assertSame([], FigureGains::for($this->offer, $this->rep, .5)->proposed, 'dearer than what is left');
        $this->service->update(['paused' => true]);
        self::assertSame([], FigureGains::for($this->offer, $this->rep, 10)->proposed);
    }

    public function test_a_figure_is_asked_for_kept_and_paid_once(): void
    {
        [$first, $second, $third] = array_map(
            fn (string $name): Account => $this->account($name, null, null), ['first', 'second', 'third'],
        );
        (new Standings)->all();
        $this->world('figures', [
            ['domain' => 'first.example', 'headcount' => 150, 'revenue' => 20e6],
            ['domain' => 'second.example', 'headcount' => 90, 'revenue' => 5e6],
        ]);
        $before = $this->priority($first);
        $this->post(route('look-ups.figures'), ['figures' => [
            "$first->id-headcount", "$first->id-revenue", "$second->id-headcount", "$third->id-headcount", '0-revenue',
        ]])->assertSessionHasNoErrors();
        $run = LookUpRun::query()->sole();
        self::assertSame([LookUpRun::FINISHED, '4 figures of companies'], [$run->state, $run->name]);
        // The stand-in knows three of four, which ones follows from their names.
        $found = LookUp::query()->where('state', LookUp::FOUND)->get();
        self::assertGreaterThan(0, $found->count());
        foreach ($found as $line) {
            self::assertSame((float) $line->value, (float) Account::query()->whereKey($line->account_id)
                ->value((string) $line->fact?->value));
        }
        self::assertNull($third->refresh()->headcount);
        $charges = (array) json_decode((string) file_get_contents($this->service->address.'/charges'), true)['charges'];
        self::assertSame((float) array_sum($charges), (float) LookUp::query()->sum('price'));
        self::assertCount($found->count(), $charges);
        if ($first->refresh()->revenue !== null) {
            self::assertSame([20e6, 'EUR'], [$first->revenue, $first->revenue_currency]);
            self::assertGreaterThan($before, $this->priority($first));
        }
        $page = $this->get(route('look-ups.run', $run))->assertSeeText('First')->assertSeeText('revenue');
        $page->assertDontSeeText('until a checked one');
        $this->get(route('look-ups.ledger'))->assertSeeText('First, heads');
        $this->get(route('look-ups'))->assertSeeText('knows figures, 1 credit each');
        // Again: what was answered is asked no second time, and takes nothing.
        $took = LookUp::query()->sum('price');
        $this->post(route('look-ups.figures'), ['figures' => ["$third->id-headcount"]])->assertSessionHasNoErrors();
        self::assertSame($took, LookUp::query()->sum('price'));
        self::assertSame(4, LookUp::query()->count());
        self::assertSame([], array_filter(Invariants::broken()));
    }

    public function test_what_somebody_told_meanwhile_stays_and_nonsense_is_refused(): void
    {
        $account = $this->account('first', null, null);
        $this->world('figures', [['domain' => 'first.example', 'headcount' => -3, 'revenue' => 1e99]]);
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-heads"]])
            ->assertSessionHasErrors(['figures.0' => 'Choose which figures to ask for, at most 200 at once.']);
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-headcount", "$account->id-revenue"]]);
        self::assertSame([null, null], [$account->refresh()->headcount, $account->revenue]);
        $account->update(['headcount' => 80, 'revenue' => 1e6]);
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-headcount"]])
            ->assertSessionHasErrors(['figures' => 'What was chosen is known meanwhile, or no longer there.']);
        Budget::query()->update(['credits' => 0]);
        $account->update(['revenue' => null]);
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-revenue"]])
            ->assertSessionHasErrors('figures');
        $this->fault('siffergranskog', '500');
        Budget::query()->update(['credits' => 10]);
        LookUp::query()->delete();
        $out = KeepOut::query()->create(['type' => 'domain', 'value' => 'first.example', 'reason' => 'asked us']);
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-revenue"]]);
        $run = LookUpRun::query()->latest('id')->firstOrFail();
        self::assertSame('kept out', $run->figures()->value('why'), 'of who is kept out nothing is asked');
        $out->delete();
        $this->post(route('look-ups.figures'), ['figures' => ["$account->id-revenue"]]);
        $run = LookUpRun::query()->latest('id')->firstOrFail();
        $this->get(route('look-ups.run', $run))->assertSeeText('a service did not answer')
            ->assertSee(route('look-ups.resume', $run));
        $this->fault('siffergranskog', null);
        $this->world('figures', []);
        $this->post(route('look-ups.resume', $run));
        self::assertSame(0, $run->figures()->where('outcome', 'failed')->count());
    }

    public function test_what_pays_is_bought_each_night_by_order_within_its_credits(): void
    {
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => [], 'weight' => 1],
        ]]);
        LookUpService::factory()->create([
            'name' => 'Granvittne', 'does' => 'find', 'price' => 2, 'position' => 0,
            'address' => 'http://127.0.0.1:'.self::$port.'/granvittne',
        ]);
        $this->world('addresses', array_map(fn (int $i): array => [
            'first' => "P$i", 'last' => 'Lie', 'domain' => "house$i.example", 'email' => "p$i.lie@house$i.example",
        ], range(1, 6)));
        foreach (range(1, 6) as $i) {
            $account = $this->account("house$i", 150, 20e6);
            Contact::factory()->create([
                'account_id' => $account->id, 'first_name' => "P$i", 'last_name' => 'Lie',
                'title' => 'Head of Maintenance',
                'reading' => (new Titles)->read('Head of Maintenance', 'SE', 100),
            ]);
        }
        (new Standings)->all();
        RunLookUps::byOrder();
        self::assertSame(0, LookUpRun::query()->count(), 'nothing is bought without an order');
        $this->post(route('orders.store'), ['credits' => '0'])->assertSessionHasErrors('credits');
        $this->post(route('orders.store'), ['credits' => '5', 'least' => '101'])->assertSessionHasErrors('least');
        $this->post(route('orders.store'), ['credits' => '5', 'least' => '100', 'accepts_doubtful' => '1'])
            ->assertSessionHasNoErrors();
        $order = StandingOrder::query()->sole();
        RunLookUps::byOrder();
        self::assertSame(0, LookUpRun::query()->count(), 'no priority is that high');
        $undo = $this->post(route('orders.store'), ['credits' => '5', 'accepts_doubtful' => '1'])->getSession()
            ->get('undo');
        self::assertEqualsCanonicalizing([5.0, 100.0, 1], $undo['fields'], 'it is undone to what it was');
        self::assertNull($order->refresh()->least);
        RunLookUps::byOrder();
        $run = LookUpRun::query()->sole();
        self::assertSame([$order->id, 'Standing order'], [$run->standing_order_id, $run->name]);
        self::assertLessThanOrEqual(5.0, $run->spent());
        self::assertGreaterThan(0, LookUp::query()->count());
        $this->get(route('look-ups'))->assertSeeText('for at most 5 credits a month, content with a doubtful address');
        $this->get(route('look-ups.run', $run))->assertSeeText('begun by the standing order of Mira');
        // Another night: what is left of the month, and never more.
        foreach (range(1, 4) as $night) {
            $this->at("2026-11-2{$night}T09:00:00Z");
            RunLookUps::byOrder();
        }
        self::assertLessThanOrEqual(5.0, $order->spent());
        $this->at('2026-12-01T09:00:00Z');
        self::assertSame(0.0, $order->spent(), 'a new month');
        $this->actingAs($this->person('Anton', Role::Rep))->delete(route('orders.destroy', $order))
            ->assertForbidden();
        $undo = $this->actingAs($this->rep)->delete(route('orders.destroy', $order))->getSession()->get('undo');
        self::assertSame(0, StandingOrder::query()->count());
        $this->post($undo['to'], $undo['fields'])->assertSessionHasNoErrors();
        self::assertSame(5.0, StandingOrder::query()->sole()->credits);
        $runs = LookUpRun::query()->count();
        $this->rep->update(['signs_in' => false]);
        RunLookUps::byOrder();
        self::assertCount($runs, LookUpRun::all(), 'whoever left orders nothing more');
    }

    private function account(string $name, ?int $heads, ?float $revenue, bool $isRanked = true): Account
    {
        $account = Account::factory()->create([
            'domain' => "$name.example", 'name' => ucfirst($name), 'headcount' => $heads, 'revenue' => $revenue,
        ]);
        $account->industries()->create(['position' => 0, 'code' => '2310']);
        if ($isRanked) {
            Signal::factory()->create([
                'account_id' => $account->id, 'kind' => 'expansion', 'occurred_at' => '2026-11-20T09:00:00Z',
                'strength' => 1, 'confidence' => 1, 'title' => 'New hall',
            ]);
            $known = Contact::factory()->create(['account_id' => $account->id]);
            Channel::query()->create([
                'contact_id' => $known->id, 'type' => ChannelType::Switchboard, 'value' => '+45 33 95 50 00',
                'state' => AddressState::Unknown,
            ]);
        }

        return $account;
    }

    private function priority(Account $account): float
    {
        return (float) Standing::query()->where('account_id', $account->id)->value('priority');
    }
}
