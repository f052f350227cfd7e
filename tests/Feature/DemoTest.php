<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Double;
use App\Models\Intake;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use Database\Demo\Scenario;
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

    public function test_every_signal_that_follows_from_positions_is_what_the_seed_knows(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        $scenario = new Scenario(250, 2500, 40, 0, 0);
        $scenario->load(fn (string $line) => null);
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
        self::assertSame($expected, $found);
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
