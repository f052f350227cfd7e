<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Reason;
use App\Models\Signal;
use App\Standings\Standings;
use App\Support\Invariants;
use Closure;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What must hold of the base holds after ordinary work, and what does not is found. */
final class InvariantsTest extends TestCase
{
    private Account $account;

    private Contact $contact;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->contact = Contact::query()->firstOrFail();
        (new Standings)->all();
    }

    public function test_they_hold_after_a_days_work(): void
    {
        $this->actingAs($this->rep);
        $this->post(route('accounts.approach', $this->account), [
            'kind' => 'email', 'contact' => $this->contact->id, 'words' => 'Hello Pernille, how do you know?',
        ])->assertSessionHasNoErrors();
        $approach = Approach::query()->sole();
        $this->patch(route('approaches.update', $approach), ['result' => 'meeting'])->assertSessionHasNoErrors();
        $this->post(route('finder.keep'), ['name' => 'All', 'on' => 'contacts', 'c' => ['']])
            ->assertSessionHasNoErrors();
        (new Standings)->all();
        self::assertSame([], Invariants::broken());
        $this->artisan('luftig:check')->expectsOutput(Invariants::count().' of '.Invariants::count().' hold.')
            ->assertSuccessful();
    }

    /** @return array<string, array{string, Closure(self): mixed}> what does not hold, and how it comes about */
    public static function breaches(): array
    {
        $twice = fn (self $test, array $more): mixed => LookUp::factory()->count(2)->sequence(
            ['mark' => 'a'], ['mark' => 'b'],
        )->create($more + [
            'look_up_service_id' => LookUpService::factory()->create()->id, 'contact_id' => $test->contact->id,
            'state' => 'nothing', 'answered_at' => now(),
        ]);

        return [
            'an account merged into one that is merged' => ['account is merged', function (self $test): void {
                $second = Account::factory()->create(['merged_into' => $test->account->id, 'stale' => true]);
                Account::factory()->create(['merged_into' => $second->id, 'stale' => true]);
            }],
            'a contact merged into one that is merged' => ['contact is merged', function (self $test): void {
                $second = Contact::factory()->create(['merged_into' => $test->contact->id]);
                Contact::factory()->create(['merged_into' => $second->id]);
            }],
            'no standing' => ['has a standing', fn () => DB::table('standings')->delete()],
            'a signal of one that is merged' => ['account that stands by itself', function (self $test): void {
                $gone = Account::factory()->create(['merged_into' => $test->account->id, 'stale' => true]);
                Signal::query()->limit(1)->update(['account_id' => $gone->id]);
            }],
            'a struck one that counts' => ['struck out counts no more', fn (self $test) => DB::table('struck_signals')
                ->insert([
                    'id' => 1, 'fingerprint' => Signal::query()->value('fingerprint'), 'row' => '{}', 'sources' => '[]',
                    'account_id' => $test->account->id, 'reason' => 'wrong', 'struck_at' => now(),
                ])],
            'a result without its day' => ['says when it came', fn (self $test) => Approach::factory()->create([
                'offer_id' => $test->offer->id, 'account_id' => $test->account->id, 'user_id' => $test->rep->id,
                'result' => 'no', 'result_at' => null,
            ])],
            'a reason that rests on nothing' => ['rests on something', fn (self $test) => Reason::factory()->create([
                'offer_id' => $test->offer->id, 'account_id' => $test->account->id, 'user_id' => $test->rep->id,
                'evidence' => ['signals' => [], 'facts' => []],
            ])],
            'two in one place' => ['place of their own', fn (self $test) => $test->listed([1, 1])],
            'somebody who is not there' => ['on a list is there', fn (self $test) => $test->listed([1], 999_999)],
            'a question answered twice' => ['once in half a year', fn (self $test) => $twice($test, [])],
            'found, and no address' => ['ledger with its price', fn (self $test) => LookUp::factory()->create([
                'look_up_service_id' => LookUpService::factory()->create()->id, 'contact_id' => $test->contact->id,
                'state' => 'found', 'answered_at' => now(),
            ])],
            'a price below nothing' => ['ledger with its price', fn (self $test) => LookUp::factory()->create([
                'look_up_service_id' => LookUpService::factory()->create()->id, 'price' => -1,
            ])],
            'a run that forgot somebody' => ['has asked for everybody', function (self $test): void {
                $run = LookUpRun::factory()->create([
                    'offer_id' => $test->offer->id, 'user_id' => $test->rep->id, 'state' => LookUpRun::FINISHED,
                ]);
                $run->people()->insert([
                    'look_up_run_id' => $run->id, 'contact_id' => $test->contact->id, 'position' => 0,
                ]);
            }],
            'a file of which a row is lost' => [
                'counted whole', fn () => DB::table('intakes')->limit(1)->increment('rows'),
            ],
        ];
    }

    /** @param  Closure(self): mixed  $breach */
    #[DataProvider('breaches')]
    public function test_what_does_not_hold_is_found(string $what, Closure $breach): void
    {
        self::assertSame([], Invariants::broken());
        $breach($this);
        $broken = Invariants::broken();
        self::assertCount(1, $broken, implode('; ', array_keys($broken)));
        self::assertStringContainsString($what, (string) array_key_first($broken));
        [$many, $some] = current($broken);
        self::assertGreaterThan(0, $many);
        self::assertNotSame([], $some);
        $this->artisan('luftig:check')->expectsOutputToContain('It does not hold that')->assertFailed();
    }

    public function test_what_was_answered_long_ago_may_be_answered_again(): void
    {
        $service = LookUpService::factory()->create();
        foreach (['2026-01-01' => 'a', '2026-11-01' => 'b'] as $day => $mark) {
            LookUp::factory()->create([
                'look_up_service_id' => $service->id, 'contact_id' => $this->contact->id, 'state' => 'nothing',
                'asked_at' => $day, 'answered_at' => $day, 'mark' => $mark,
            ]);
        }
        self::assertSame([], Invariants::broken());
    }

    /** @param  list<int>  $places */
    private function listed(array $places, ?int $record = null): void
    {
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'contacts', 'search' => '']);
        foreach ($places as $i => $place) {
            DB::table('list_members')->insert([
                'list_id' => $list->id, 'position' => $place,
                'record_id' => $record ?? ($i === 0 ? $this->contact->id : Contact::factory()->create()->id),
            ]);
        }
    }
}
