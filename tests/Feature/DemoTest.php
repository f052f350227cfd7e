<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Double;
use App\Models\Intake;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use Database\Demo\Scenario;
use Database\Demo\Stories;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class DemoTest extends TestCase
{
    public function test_a_small_scenario_comes_in_whole_through_the_intake_and_is_the_same_each_time(): void
    {
        $prints = [];
        foreach ([1, 2] as $time) {
            DB::beginTransaction();
            RuleSet::query()->delete();
            Offer::query()->delete();
            User::query()->delete();
            (new Scenario(60, 300, 250, 10, 80))->load(fn (string $line) => null);
            self::assertSame(0, (int) Intake::query()->sum('rejected'));
            self::assertSame([63, 2], [Account::query()->count(), Offer::query()->count()]);
            self::assertSame([126, 5], [Standing::query()->count(), Double::query()->where('state', 'open')->count()]);
            $prints[] = [
                Account::query()->orderBy('domain')->pluck('headcount', 'domain')->all(),
                Signal::query()->where('derived', false)->orderBy('fingerprint')->pluck('strength', 'fingerprint')
                    ->all(),
                Signal::query()->where('derived', true)->orderBy('title')->pluck('strength', 'title')->all(),
            ];
            $tunhede = Standing::query()->whereHas('account', fn ($q) => $q->where('domain', 'tunhede.example'))
                ->orderBy('offer_id')->firstOrFail();
            self::assertGreaterThan(75, $tunhede->priority);
            DB::rollBack();
        }
        self::assertEquals($prints[0], $prints[1]);
    }

    public function test_it_is_a_world_that_holds_together(): void
    {
        $scenario = $this->world();
        $first = Offer::query()->orderBy('id')->value('id');
        $expected = [];
        foreach ($scenario->people as $person) {
            foreach ($person['truth'] as $kind) {
                $expected[] = "{$person['domain']}|{$person['first_name']} {$person['last_name']}|$kind";
            }
        }
        $found = Signal::query()->with('contact.account')->where('derived', true)
            ->where(fn ($either) => $either->whereNull('offer_id')->orWhere('offer_id', $first))->get()
            ->map(
                fn (
                    Signal $signal,
                ): string => "{$signal->contact->account->domain}|{$signal->contact->name()}|{$signal->kind->value}",
            )
            ->all();
        sort($expected);
        sort($found);
        self::assertGreaterThan(60, count($expected));
        self::assertSame($expected, $found, 'every signal that follows from positions is what the seed knows');

        $foreign = '/Kierownik|Prezes|Dyrektor|Leiter|leiterin|Geschäfts|päällikkö|johtaja|Directeur|Hoofd/u';
        $swedes = Contact::query()->whereNotNull('title')->whereHas(
            'account.places',
            fn ($places) => $places->where('country', 'SE'),
        )->pluck('title');
        self::assertGreaterThan(200, $swedes->count());
        self::assertSame([], $swedes->filter(fn (string $title): bool => preg_match($foreign, $title) === 1)->all());

        $addresses = Channel::query()->where('type', 'email')->get()->groupBy('value');
        self::assertSame([], $addresses->filter(
            fn ($of): bool => $of->count() > 1
                && $of->contains(fn (Channel $one): bool => $one->state->value !== 'shared'),
        )->keys()->all(), 'an address is one person’s, but for a mailbox of the house');
        self::assertGreaterThan(0, $addresses->filter(fn ($of): bool => $of->count() > 1)->count());

        $kinds = Signal::query()->get()->groupBy('account_id')->map(fn ($of) => $of->pluck('kind.value')->unique());
        self::assertSame([], $kinds->filter(fn ($of) => $of->contains('growth') && $of->contains('decline'))->all());
        $adopted = Signal::query()->where('kind', 'tech_adopted')->with('account.technologies')->get();
        self::assertGreaterThan(5, $adopted->count());
        foreach ($adopted as $signal) {
            $runs = $signal->account->technologies->pluck('name')->all();
            self::assertContains(
                strtok($signal->title, ' '),
                array_map(fn (string $name) => strtok($name, ' '), $runs),
            );
        }
        self::assertSame(0, Signal::query()->where('kind', 'hiring')->whereNotIn('account_id', $this->stories())
            ->where(fn ($either) => $either->whereNull('link')->orWhereNull('quote'))->count());
        self::assertGreaterThan(9, Signal::query()->where('kind', 'hiring')->distinct()->count('quote'));

        $first = DB::table('positions')->selectRaw('MIN(since) AS since')->groupBy('contact_id')->pluck('since');
        $years = $first->map(fn (?string $since): float => $since === null ? 0 : now()->diffInYears($since, true));
        self::assertGreaterThan(.2, $years->filter(fn (float $of): bool => $of > 10)->count() / $years->count());
        self::assertLessThan(30, $years->max());
        foreach (['ready' => 40, 'used' => 30, 'expired' => 30] as $state => $most) {
            self::assertGreaterThan($most / 4, Reason::query()->inState($state)->count(), $state);
        }
    }

    private function world(): Scenario
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        $scenario = new Scenario(220, 2200, 1500, 60, 0);
        $scenario->load(fn (string $line) => null);

        return $scenario;
    }

    /** @return list<int> */
    private function stories(): array
    {
        return Account::query()->whereIn('domain', array_column(Stories::accounts(), 'domain'))->pluck('id')->all();
    }

    public function test_without_the_demo_there_is_an_admin_and_an_offer_to_begin_with(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        config(['luftig.demo' => false]);
        $this->artisan('luftig:demo --if-empty')->expectsOutputToContain('with the password')->assertSuccessful();
        $this->artisan('luftig:demo --if-empty')->doesntExpectOutputToContain('with the password')->assertSuccessful();

        $this->actingAs(User::query()->sole())->get('/')->assertOk();
        $this->get(route('rules.edit', Offer::query()->sole()))->assertOk();
        self::assertSame(0, Account::query()->count());
    }
}
