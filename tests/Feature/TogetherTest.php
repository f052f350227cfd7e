<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Result;
use App\Models\Technology;
use App\Reasons\RecordResult;
use App\Support\Together;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Where two writers stand in each other's way, one begins anew, and all of what it writes stands in the end. */
final class TogetherTest extends TestCase
{
    /** How often the database has said so. */
    private int $times = 0;

    protected function setUp(): void
    {
        parent::setUp();
        // The transaction of the test itself would make the others parts of it, which nobody may begin anew.
        DB::rollBack();
    }

    protected function tearDown(): void
    {
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach (DB::select('SHOW TABLES') as $row) {
            $table = (string) current((array) $row);
            $table === 'migrations' || DB::table($table)->truncate();
        }
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
        DB::beginTransaction();
        parent::tearDown();
    }

    public function test_all_of_it_is_done_anew_and_stands_once(): void
    {
        $this->prepare();
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id]);
        $this->deadlock('insert into `notes`', 2);
        $tries = 0;
        Together::write(function () use ($list, &$tries): void {
            $tries++;
            $list->update(['name' => 'Renamed']);
            $list->user()->associate($this->rep)->save();
            \App\Models\Note::factory()->create(['user_id' => $this->rep->id]);
        }, $list);
        self::assertSame([3, 1, 'Renamed', $this->rep->id], [
            $tries, DB::table('notes')->count(), $list->refresh()->name, $list->user_id,
        ]);
        self::assertSame(1, Account::query()->count(), 'the account of the note that was taken back is gone');
    }

    public function test_after_three_times_nothing_stands_and_it_is_said(): void
    {
        $this->prepare();
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'name' => 'Before']);
        $this->deadlock('insert into `notes`', 3);
        try {
            Together::write(function () use ($list): void {
                $list->update(['name' => 'Renamed']);
                \App\Models\Note::factory()->create(['user_id' => $this->rep->id]);
            }, $list);
            self::fail('The database refused three times.');
        } catch (PDOException) {
            self::assertSame(['Before', 0], [$list->refresh()->name, DB::table('notes')->count()]);
        }
    }

    public function test_another_mistake_is_not_tried_again(): void
    {
        $tries = 0;
        try {
            Together::write(function () use (&$tries): void {
                $tries++;
                DB::table('nowhere')->get();
            });
            self::fail('There is no such table.');
        } catch (QueryException) {
            self::assertSame(1, $tries);
        }
    }

    public function test_a_result_is_recorded_whole(): void
    {
        $this->prepare();
        $contact = Contact::factory()->create();
        $approach = Approach::factory()->create([
            'contact_id' => $contact->id, 'account_id' => $contact->account_id, 'offer_id' => $this->offer->id,
        ]);
        $this->deadlock('insert into `keep_outs`', 1);
        RecordResult::record($approach, Result::Stop, $this->rep);
        self::assertSame(0, $this->times, 'it was disturbed');
        self::assertSame(Result::Stop, Approach::query()->sole()->result, 'also what was saved before the deadlock');
        self::assertSame(KeepOut::ASKED, KeepOut::query()->sole()->reason);
        self::assertTrue(Account::query()->findOrFail($contact->account_id)->stale);
    }

    /** @return array<string, array{string}> where the import is disturbed */
    public static function disturbances(): array
    {
        return [
            'while it looks' => ['select * from `account_industry`'],
            'when it has entered technologies' => ['update `accounts` set'],
            'when it says how far it is' => ['update `intakes` set `offset`'],
        ];
    }

    #[DataProvider('disturbances')]
    public function test_a_part_of_a_file_is_taken_in_whole_and_once(string $at): void
    {
        $this->prepare();
        Account::factory()->create(['domain' => 'old.example', 'name' => 'Old']);
        $intake = $this->receive(
            IntakeKind::Accounts,
            "domain;name;technologies;headcount\na.example;A;Tryklog;100\nold.example;;;50\n;;Tryklog;\n",
        );
        $this->deadlock($at, 1);
        (new Importer)->run($intake);
        self::assertSame(0, $this->times, 'it was disturbed');
        self::assertSame(['done', 3, 1, 1, 1], [
            $intake->refresh()->state->value, $intake->rows, $intake->created, $intake->updated, $intake->rejected,
        ]);
        self::assertSame(1, DB::table('intake_rejections')->count());
        self::assertSame(['a.example', 'old.example'], Account::query()->orderBy('domain')->pluck('domain')->all());
        self::assertSame(
            'Tryklog',
            Technology::query()->join('account_technology', 'technology_id', '=', 'technologies.id')->sole()->name,
            'and not the number of one that was taken back',
        );
    }

    /** What every test of this base has, once the transaction that held it is gone. */
    private function prepare(): void
    {
        foreach ([$this->rep, $this->lead, $this->offer] as $model) {
            $model->replicate()->forceFill(['id' => $model->id])->save();
        }
    }

    /** The database says so many times that another writer was in the way. */
    private function deadlock(string $at, int $times): void
    {
        $this->times = $times;
        DB::beforeExecuting(function (string $query) use ($at): void {
            if ($this->times > 0 && str_starts_with($query, $at) && DB::transactionLevel() > 0) {
                $this->times--;
                throw new PDOException('Deadlock found when trying to get lock; try restarting transaction');
            }
        });
    }
}
