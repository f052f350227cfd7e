<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\Unreachable;
use App\Jobs\RunLookUps;
use App\LookUps\JsonService;
use App\LookUps\Services;
use App\LookUps\Spending;
use App\Models\Account;
use App\Models\Budget;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Outcome;
use App\Models\Role;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\Http;
use LogicException;
use Luftig\Core\Reach\AddressState;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What outside services may answer, good and bad, and what a run makes of it. */
final class OutsideServicesTest extends TestCase
{
    private LookUpService $finder;

    private Contact $contact;

    protected function setUp(): void
    {
        parent::setUp();
        config(['luftig.standins' => ['127.0.0.1:9']]);
        $this->finder = LookUpService::factory()->create(['name' => 'Finder', 'price' => 2, 'secret' => 'hush'])
            ->refresh();
        $account = Account::factory()->create(['domain' => 'glas.example', 'name' => 'Glas', 'headcount' => 80]);
        $this->contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Moe',
        ])->load('account.places');
        Budget::query()->create(['credits' => 100]);
        $this->actingAs($this->rep);
    }

    public function test_a_question_says_whom_under_a_mark_and_who_we_are(): void
    {
        Http::fake(['*' => Http::response(['email' => 'IDA@Glas.example', 'price' => 1.5])]);
        $found = Services::of($this->finder)->find($this->contact, 'a mark');
        self::assertSame(['ida@glas.example', 1.5], [$found->value, $found->price]);
        Http::assertSent(fn (Request $request): bool => $request->method() === 'POST'
            && $request->url() === 'http://127.0.0.1:9/x/find'
            && $request->header('Idempotency-Key') === ['a mark']
            && $request->header('Authorization') === ['Bearer hush']
            && $request->data() === [
                'first_name' => 'Ida', 'last_name' => 'Moe', 'domain' => 'glas.example', 'company' => 'Glas',
            ]);
        Http::assertSentCount(1);
    }

    public function test_one_that_needs_no_secret_gets_none_and_says_nothing_of_its_price(): void
    {
        $this->finder->update(['secret' => null]);
        Http::fake(['*' => Http::response(['email' => null])]);
        $found = Services::of($this->finder)->find($this->contact, 'm');
        self::assertSame([null, 2.0], [$found->value, $found->price], 'the price that is agreed');
        Http::assertSent(fn (Request $request): bool => ! $request->hasHeader('Authorization'));
        $this->finder->driver = 'pigeon';
        $this->expectException(LogicException::class);
        Services::of($this->finder);
    }

    /** @return array<string, array{mixed, string}> answer → what is said of it */
    public static function badAnswers(): array
    {
        return [
            'no JSON' => ['<html>', 'cannot be read'], 'a word' => ['"yes"', 'cannot be read'],
            'no address' => [['email' => 'ida at glas'], 'calls an address is none'],
            'a list for an address' => [['email' => ['ida@glas.example']], 'calls an address is none'],
            'a very long one' => [['email' => str_repeat('a', 300).'@glas.example'], 'calls an address is none'],
            'one with a line break' => [
                ['email' => "ida@glas.example\nBcc: all@glas.example"], 'calls an address is none',
            ],
            'a price below nothing' => [['email' => null, 'price' => -3], 'no number of credits'],
            'a price beyond all' => [['email' => null, 'price' => 1e9], 'no number of credits'],
            'a price in words' => [['email' => null, 'price' => 'two'], 'no number of credits'],
        ];
    }

    #[DataProvider('badAnswers')]
    public function test_what_is_no_answer_is_refused_with_a_sentence(mixed $answer, string $says): void
    {
        Http::fake(['*' => Http::response($answer)]);
        try {
            Services::of($this->finder)->find($this->contact, 'm');
            self::fail('It was taken.');
        } catch (Unreachable $e) {
            self::assertStringContainsString($says, $e->getMessage());
            self::assertFalse($e->isRefused, 'it may have been charged');
        }
    }

    /** @return array<string, array{int}> */
    public static function refusals(): array
    {
        return [
            'a fault' => [500], 'too often' => [429], 'no entry' => [403], 'nothing there' => [404],
            'another address' => [302],
        ];
    }

    #[DataProvider('refusals')]
    public function test_one_that_refuses_takes_nothing(int $status): void
    {
        Http::fake(['*' => Http::response('', $status, ['Location' => 'http://127.0.0.1:9/y'])]);
        $run = $this->begun();
        RunLookUps::dispatch($run->id);
        $line = LookUp::query()->sole();
        self::assertSame([LookUp::FAILED, 0.0], [$line->state, $line->price]);
        self::assertSame(Outcome::Failed->value, $run->people()->value('outcome'));
        $this->get(route('look-ups.ledger'))->assertSeeText('had a fault of its own');
    }

    public function test_where_no_answer_came_what_it_may_have_taken_stays_set_aside(): void
    {
        Http::fake(fn () => throw new ConnectionException('timed out'));
        $run = $this->begun();
        RunLookUps::dispatch($run->id);
        $line = LookUp::query()->sole();
        self::assertSame([LookUp::FAILED, 2.0], [$line->state, $line->price]);
        self::assertEqualsWithDelta(98.0, Spending::leftTo($this->rep), 1e-9);
        $this->get(route('look-ups.ledger'))->assertSeeText('it is set aside, since it may have been taken');
        $this->get(route('look-ups.run', $run))->assertSee('data-tally="failed"', false)
            ->assertSee(route('look-ups.resume', $run));
    }

    /** @return array<string, array{string, string|null, Outcome, string|null}> */
    public static function verdicts(): array
    {
        return [
            'valid' => ['valid', null, Outcome::Found, 'valid'],
            'takes all' => ['catch_all', null, Outcome::Doubtful, 'catch_all'],
            'unknown, then valid' => ['unknown', 'valid', Outcome::Found, 'valid'],
            'unknown, then dead' => ['unknown', 'invalid', Outcome::Nothing, null],
            'unknown twice' => ['unknown', 'unknown', Outcome::Doubtful, 'unknown'],
            'dead' => ['invalid', null, Outcome::Nothing, null],
            'disposable' => ['disposable', null, Outcome::Nothing, null],
            'switched off' => ['off', null, Outcome::Nothing, null],
            'shared' => ['shared', null, Outcome::Nothing, null],
            'no state' => ['splendid', null, Outcome::Doubtful, 'unknown'],
        ];
    }

    #[DataProvider('verdicts')]
    public function test_what_the_checker_says_decides(
        string $says,
        ?string $again,
        Outcome $outcome,
        ?string $kept,
    ): void {
        LookUpService::factory()->create(['does' => LookUpService::CHECKS, 'address' => 'http://127.0.0.1:9/check']);
        Http::fake([
            '*/x/find' => Http::response(['email' => 'ida@glas.example', 'price' => 2]),
            '*/check/check' => Http::response(['state' => $says]),
            '*/check/again' => Http::response(['state' => $again ?? 'valid']),
        ]);
        $run = $this->begun();
        RunLookUps::dispatch($run->id);
        self::assertSame($outcome->value, $run->people()->value('outcome'));
        self::assertSame($kept, Channel::query()->first()?->state->value);
        Http::assertSentCount($again === null ? 2 : 3);
        self::assertSame(2.0, LookUp::query()->sole()->price, 'found is paid, whatever it is worth');
    }

    public function test_a_doubtful_one_is_enough_where_it_is_accepted_and_the_next_is_not_asked(): void
    {
        LookUpService::factory()->create([
            'name' => 'Second', 'position' => 1, 'address' => 'http://127.0.0.1:9/second',
        ]);
        Http::fake([
            '*/x/find' => fn () => Http::response(['email' => 'ida@glas.example']),
            '*/second/*' => fn () => Http::response(['email' => 'moe@glas.example', 'price' => 5]),
        ]);
        $run = $this->begun(['accepts_doubtful' => true]);
        RunLookUps::dispatch($run->id);
        Http::assertSentCount(1);
        $channel = Channel::query()->sole();
        self::assertSame(['ida@glas.example', AddressState::Unknown, 'Finder', null], [
            $channel->value, $channel->state, $channel->source, $channel->checked_at,
        ]);
        // Where it is not, both are asked, and the first doubtful one is kept.
        Channel::query()->delete();
        LookUp::query()->delete();
        RunLookUps::dispatch($this->begun()->id);
        self::assertSame(['ida@glas.example'], Channel::query()->pluck('value')->all());
        self::assertSame(2, LookUp::query()->count());
    }

    public function test_a_run_that_another_worker_has_taken_over_is_left_alone(): void
    {
        Http::fake(['*' => Http::response(['email' => 'ida@glas.example'])]);
        $run = $this->begun(['state' => LookUpRun::STOPPED]);
        RunLookUps::dispatch($run->id);
        Http::assertNothingSent();
        $run->update(['state' => LookUpRun::FINISHED]);
        RunLookUps::dispatch($run->id);
        RunLookUps::dispatch(999_999);
        Http::assertNothingSent();
        self::assertSame(LookUpRun::FINISHED, $run->refresh()->state);
    }

    public function test_a_fault_of_ours_stops_a_run_and_says_so(): void
    {
        $run = $this->begun(['state' => LookUpRun::RUNNING]);
        (new RunLookUps($run->id))->failed(new LogicException('a fault'));
        self::assertSame(LookUpRun::STOPPED, $run->refresh()->state);
        $this->get(route('look-ups.run', $run))->assertSeeText('Something went wrong on our side.');
    }

    public function test_what_is_spent_counts_by_month_team_and_rep(): void
    {
        $other = $this->person('Anton', Role::Rep);
        $spend = fn (int $user, float $price, string $at) => LookUp::factory()->create([
            'look_up_service_id' => $this->finder->id, 'user_id' => $user, 'price' => $price, 'asked_at' => $at,
        ]);
        $spend($this->rep->id, 10, '2026-11-02');
        $spend($other->id, 20, '2026-11-20');
        $spend($this->rep->id, 50, '2026-10-31 23:59:59');
        self::assertEqualsWithDelta(70.0, Spending::leftTo($this->rep), 1e-9);
        self::assertEqualsWithDelta([30.0, 10.0, 20.0], [
            Spending::ofTeam()->spent, Spending::of($this->rep)->spent, Spending::of($other)->spent,
        ], 1e-9);
        Budget::query()->create(['user_id' => $this->rep->id, 'credits' => 15]);
        self::assertEqualsWithDelta([5.0, 70.0], [Spending::leftTo($this->rep), Spending::leftTo($other)], 1e-9);
        Budget::query()->where('user_id', $this->rep->id)->update(['credits' => 5]);
        self::assertSame(0.0, Spending::leftTo($this->rep), 'no less than nothing');
        $run = $this->begun(['most' => 3, 'user_id' => $other->id]);
        self::assertEqualsWithDelta(3.0, Spending::leftTo($other, $run), 1e-9);
        Budget::query()->whereNull('user_id')->delete();
        self::assertSame(0.0, Spending::leftTo($other), 'without a budget of the team nothing is bought');
    }

    public function test_a_service_is_asked_by_class_only_with_what_it_may_know(): void
    {
        Http::fake(['*' => fn () => Http::response(['state' => 'valid'])]);
        $service = new JsonService($this->finder);
        self::assertSame(AddressState::Valid, $service->check('ida@glas.example'));
        self::assertSame(AddressState::Valid, $service->again('ida@glas.example'));
        Http::assertSent(fn (Request $request): bool => $request->data() === ['email' => 'ida@glas.example']);
        $this->finder->address = 'http://10.0.0.7/find';
        $this->expectException(Unreachable::class);
        (new JsonService($this->finder))->check('ida@glas.example');
    }

    /** @param  array<string, mixed>  $more */
    private function begun(array $more = []): LookUpRun
    {
        $run = LookUpRun::factory()->create(
            $more + ['offer_id' => $this->offer->id, 'user_id' => $this->rep->id],
        );
        $run->people()->insert(['look_up_run_id' => $run->id, 'contact_id' => $this->contact->id, 'position' => 0]);

        return $run->refresh();
    }
}
