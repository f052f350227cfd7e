<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Indexes;
use App\Finder\Search;
use App\Models\Offer;
use App\Standings\Standings;
use App\Support\Folder;
use App\Support\Workers;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use RuntimeException;
use Tests\TestCase;

/** Work that several processes share: they see only what is written for good, so that nothing here is rolled back. */
final class WorkersTest extends TestCase
{
    private const ACCOUNTS = 5200;

    /** @var list<string> */
    protected array $connectionsToTransact = [];

    protected function setUp(): void
    {
        parent::setUp();
        // Of an offer that had this number before the tables were made anew.
        File::deleteDirectory(config('luftig.finder'));
        $last = self::ACCOUNTS;
        DB::unprepared(
            "INSERT INTO accounts (id, name, domain, headcount, stale) SELECT seq, CONCAT('Firm ', seq), "
                ."CONCAT('firm', seq, '.example'), seq % 900, 0 FROM seq_1_to_$last",
        );
        DB::unprepared(
            "INSERT INTO places (account_id, headquarters, city, country) SELECT seq, 1, CONCAT('Town ', seq % 90), "
                ."ELT(1 + seq % 4, 'SE', 'DK', 'DE', 'PL') FROM seq_1_to_$last",
        );
        DB::unprepared(
            "INSERT INTO contacts (account_id, first_name, last_name, title) SELECT 1 + seq % $last, 'Ida', "
                ."CONCAT('Sandmo', seq), ELT(1 + seq % 3, 'Planner', 'Plant Manager', NULL) FROM seq_1_to_9000",
        );
    }

    protected function tearDown(): void
    {
        // What was written for good is gone with the tables.
        RefreshDatabaseState::$migrated = false;
        File::deleteDirectory(config('luftig.finder'));
        parent::tearDown();
    }

    public function test_an_index_built_by_two_says_what_the_database_says(): void
    {
        Indexes::build($this->offer);
        self::assertCount(2, File::directories($this->generations()[0]), 'a part for each process');
        foreach (Subject::cases() as $subject) {
            $search = Search::from($this->offer, ['on' => $subject->value, 'c' => ['']]);
            self::assertSame($subject === Subject::Accounts ? self::ACCOUNTS : 9000, $search->total());
            foreach ([Field::Country, Field::City] as $field) {
                $of = DB::table('places')->when(
                    $subject === Subject::Contacts,
                    fn ($query) => $query->join('contacts', 'contacts.account_id', '=', 'places.account_id'),
                );
                $expected = $of->groupBy('places.'.$field->value)
                    ->selectRaw("places.{$field->value} AS value, COUNT(*) AS n")->pluck('n', 'value')->all();
                $counts = $search->counts($field, 200);
                self::assertSame([count($expected), array_sum($expected)], [count($counts), array_sum($counts)]);
                self::assertSame([], array_diff_assoc($counts, $expected));
            }
        }
        self::assertSame(
            DB::table('contacts')->where('title', 'Planner')->count(),
            Search::from($this->offer, ['on' => 'contacts', 'c' => [['f' => 'title', 'q' => 'planner']]])->total(),
        );
    }

    public function test_of_several_who_want_the_index_one_builds_it(): void
    {
        Workers::share(3, function (): void {
            $this->assertNotEmpty(Indexes::of(Offer::query()->sole()));
        });
        self::assertCount(1, $this->generations());
        self::assertSame(self::ACCOUNTS, Search::from($this->offer, ['on' => 'accounts', 'c' => ['']])->total());
    }

    public function test_several_make_one_folder_at_once(): void
    {
        $root = config('luftig.finder').'/deep';
        Workers::share(2, function () use ($root): void {
            // Each at the same moments, as far as the clock tells them.
            for ($i = 0; $i < 400; $i++) {
                for ($next = (int) ceil(500 * microtime(true)); microtime(true) < $next / 500;) {
                }
                Folder::make("$root/$next/$next/leaf");
                is_dir("$root/$next/$next/leaf") || throw new RuntimeException('It is not there.');
            }
        });
        self::assertDirectoryExists($root);
    }

    public function test_where_one_fails_it_is_said_and_what_the_others_did_stays(): void
    {
        try {
            Workers::share(2, function (int $number): void {
                DB::table('accounts')->where('id', 1 + $number)->update(['name' => 'Seen']);
                $number === 1 && throw new RuntimeException('One of two.');
            });
            self::fail('nothing was said');
        } catch (RuntimeException $e) {
            self::assertStringContainsString('could not be computed', $e->getMessage());
        }
        self::assertSame(['Seen', 'Seen'], DB::table('accounts')->whereIn('id', [1, 2])->pluck('name')->all());
        self::assertSame(1, DB::table('offers')->count(), 'the connection lives on');
    }

    public function test_hundreds_of_changes_are_patches_and_too_many_a_new_index(): void
    {
        Indexes::build($this->offer);
        $generation = $this->generations();
        $search = fn (): array => [
            Search::from($this->offer, ['on' => 'accounts', 'c' => [['f' => 'headcount', 'lo' => '5000']]])->total(),
            Search::from($this->offer, ['on' => 'contacts', 'c' => ['']])->total(),
        ];
        self::assertSame([0, 9000], $search());
        $change = function (int $from, int $count): void {
            DB::table('accounts')->whereBetween('id', [$from, $from + $count - 1])->update(['headcount' => 7000]);
            Indexes::changed(range($from, $from + $count - 1));
        };
        foreach ([1, 2, 3, 40, 5, 60, 7] as $i => $count) {
            $change(1 + 100 * $i, $count);
            self::assertSame(array_sum(array_slice([1, 2, 3, 40, 5, 60, 7], 0, $i + 1)), $search()[0]);
        }
        self::assertSame(9000, $search()[1], 'nobody is counted twice');
        self::assertCount(
            2,
            glob($generation[0].'/patch-*') ?: [],
            'of 111 and of 7: those that were no larger than what was new were made anew with it',
        );
        DB::table('accounts')->where('id', 1)->update(['headcount' => 1]);
        Indexes::changed([1]);
        self::assertSame(117, $search()[0]);
        self::assertSame($generation, $this->generations());
        $change(2000, 301);
        self::assertSame([418, 9000], $search());
        self::assertSame($generation, $this->generations(), 'no search waits');
        Indexes::renew($this->offer);
        self::assertCount(
            2,
            $this->generations(),
            'built anew in the background; the one before is kept for those who read it',
        );
        self::assertSame([418, 9000], $search());
        $change(1, 3001);
        self::assertSame([3001, 9000], $search());
        self::assertCount(2, $this->generations(), 'so many changes are worth a new index');
        self::assertNotContains($generation[0], $this->generations());
    }

    public function test_no_change_is_lost_that_is_made_while_standings_are_computed(): void
    {
        config(['database.connections.other' => ['options' => []] + config('database.connections.mariadb')]);
        $other = DB::connection('other');
        $other->statement('SET innodb_lock_wait_timeout = 1');
        $change = fn (): int => $other->update('UPDATE accounts SET headcount = 4000, stale = 1 WHERE id = 1');
        $fit = fn (): float => (float) DB::table('standings')->where('account_id', 1)->value('fit_high');
        DB::table('accounts')->where('id', 1)->update(['headcount' => 500, 'stale' => true]);
        $waits = null;
        DB::listen(function (QueryExecuted $query) use ($change, &$waits): void {
            // The first look at the account within the computation.
            if ($waits === null && $query->connectionName !== 'other' && DB::transactionLevel() > 0) {
                try {
                    $waits = $change() === 0;
                } catch (QueryException) {
                    $waits = true;
                }
            }
        });
        (new Standings)->only([1]);
        self::assertTrue($waits, 'who changes the account waits until it is computed');
        self::assertEqualsWithDelta(
            .8, $fit(), 1e-6, 'all that is wished, if it is in the industry, of which nothing is known',
        );
        $change();
        self::assertSame(1, (new Standings)->refresh());
        self::assertEqualsWithDelta(.8 / 3, $fit(), 1e-6, 'only the words still count');
    }

    /** @return list<string> */
    private function generations(): array
    {
        return File::directories(config('luftig.finder').'/'.DB::getDatabaseName().'/'.$this->offer->id);
    }
}
