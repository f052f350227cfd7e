<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Finder\ResultColumn;
use App\Models\Account;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Note;
use App\Models\User;
use App\Standings\Standings;
use App\Support\Bulk;
use App\Support\TableMarks;
use Closure;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\View;
use Luftig\Core\Search\Subject;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** A page that somebody just saw is shown again, and whatever was written meanwhile is on it. */
final class KeptPagesTest extends TestCase
{
    private Account $account;

    /** Views that were made. */
    private int $made = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        View::composer('*', function (): void {
            $this->made++;
        });
    }

    public function test_a_page_is_shown_again_as_it_was(): void
    {
        $first = $this->made($this->rep, '/accounts');
        $second = $this->kept($this->rep, '/accounts');
        self::assertStringContainsString('Glasverk Tunhede', $second);
        self::assertSame(self::withoutMarks($first), self::withoutMarks($second));
    }

    public function test_so_is_the_picture_that_a_page_asks_for(): void
    {
        $asked = 0;
        DB::listen(function (QueryExecuted $statement) use (&$asked): void {
            $asked += (int) str_contains($statement->sql, 'from `standings`');
        });
        $picture = function () use (&$asked): int {
            $asked = 0;
            $this->actingAs($this->rep)->get('/accounts/picture')->assertOk()
                ->assertHeader('Content-Type', 'application/json')->assertJsonPath('of', 1);

            return $asked;
        };
        self::assertGreaterThan(0, $picture());
        self::assertSame(0, $picture());
        DB::table('standings')->update(['priority' => 5]);
        self::assertGreaterThan(0, $picture());
    }

    public function test_what_is_sent_from_it_is_another_time_and_of_this_session(): void
    {
        $path = "/accounts/{$this->account->id}";
        $first = $this->made($this->rep, $path);
        $old = csrf_token();
        session()->regenerateToken();
        $second = $this->kept($this->rep, $path);
        self::assertNotSame($old, csrf_token());
        self::assertStringContainsString((string) csrf_token(), $second);
        self::assertStringNotContainsString((string) $old, $second);
        preg_match_all('/name="_once" value="(\w{12})"/', "$first$second", $once);
        self::assertGreaterThan(3, count($once[1]));
        self::assertSame($once[1], array_unique($once[1]));
    }

    /** @return array<string, array{string, Closure(Account): mixed, string}> where, what is written, what is seen */
    public static function written(): array
    {
        return [
            'a record' => [
                '/accounts', fn (Account $one): bool => $one->update(['name' => 'Kupferhof Ansgar']),
                'Kupferhof Ansgar',
            ],
            'a row' => [
                '/accounts', fn (): int => DB::table('accounts')->update(['name' => 'Kupferhof Ansgar']),
                'Kupferhof Ansgar',
            ],
            'many rows, as a file' => [
                '/accounts/{id}', fn (Account $one): array => Bulk::insert('contacts', [
                    'account_id', 'first_name', 'last_name', 'title',
                ], array_fill(0, 200, [$one->id, 'Ilse', 'Grauwacke', 'Buyer'])), 'Ilse Grauwacke',
            ],
            'a note' => [
                '/accounts/{id}', fn (Account $one): Note => Note::factory()->create([
                    'account_id' => $one->id, 'text' => 'Asked for in spring.',
                ]), 'Asked for in spring.',
            ],
            'who must not be approached' => [
                '/', fn (): KeepOut => KeepOut::factory()->create([
                    'type' => 'domain', 'value' => 'tunhede.example',
                ]),
                'Nothing to approach yet for Leak survey',
            ],
        ];
    }

    /** @param  Closure(Account): mixed  $write */
    #[DataProvider('written')]
    public function test_what_is_written_is_on_the_next(string $path, Closure $write, string $seen): void
    {
        $path = str_replace('{id}', (string) $this->account->id, $path);
        self::assertStringNotContainsString($seen, $this->settled($this->rep, $path));
        $this->kept($this->rep, $path);
        DB::transaction(fn (): mixed => $write($this->account));
        self::assertStringContainsString($seen, $this->made($this->rep, $path));
    }

    public function test_a_file_that_comes_in_is_on_the_next(): void
    {
        $this->made($this->rep, '/accounts');
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title;strength;confidence\n"
                ."tunhede.example;funding;2026-11-22T09:00:00Z;Round C of the glassworks;.9;1\n",
        );
        (new Standings)->refresh();
        self::assertStringContainsString('Round C of the glassworks', $this->made($this->rep, '/accounts'));
    }

    public function test_where_others_may_have_gone_with_a_row_all_pages_are_made_anew(): void
    {
        $this->made($this->rep, '/accounts');
        DB::table('candidates')->delete();
        $this->made($this->rep, '/accounts');
        DB::table('trends')->delete();
        $this->kept($this->rep, '/accounts');
    }

    public function test_what_was_taken_back_changes_nothing_and_other_tables_do_not(): void
    {
        $this->made($this->rep, '/accounts');
        try {
            DB::transaction(function (): void {
                DB::table('accounts')->update(['name' => 'Kupferhof Ansgar']);
                throw new RuntimeException('no');
            });
        } catch (RuntimeException) {
        }
        DB::table('trends')->insert(['account_id' => $this->account->id, 'says' => '[]']);
        DB::table('sessions')->delete();
        $this->kept($this->rep, '/accounts');
    }

    public function test_it_is_shown_to_nobody_else_and_nowhere_else(): void
    {
        $this->settled($this->rep, '/');
        $this->made($this->lead, '/');
        $this->made($this->rep, '/?focus=1');
        $this->made($this->rep, '/', ['HX-Request' => 'true']);
        $this->made($this->rep, '/', ['HX-Request' => 'true', 'HX-Target' => 'focus']);
        $this->kept($this->rep, '/');
        $this->kept($this->lead, '/');
    }

    public function test_a_new_day_begins_with_a_new_page(): void
    {
        $this->at('2026-11-23T23:59:40Z');
        $this->settled($this->rep, '/accounts');
        $this->at('2026-11-23T23:59:55Z');
        $this->kept($this->rep, '/accounts');
        $this->at('2026-11-24T00:00:05Z');
        $this->made($this->rep, '/accounts');
    }

    public function test_whoever_may_no_longer_see_it_does_not(): void
    {
        $this->made($this->rep, '/accounts');
        $this->kept($this->rep, '/accounts');
        Gate::before(fn (): bool => false);
        $this->actingAs($this->rep)->get('/accounts')->assertForbidden();
    }

    public function test_what_is_said_once_is_said_once(): void
    {
        $this->made($this->rep, '/accounts');
        session()->flash('said', 'It is recorded.');
        session()->save();
        self::assertStringContainsString('It is recorded.', $this->made($this->rep, '/accounts'));
        self::assertStringNotContainsString('It is recorded.', $this->kept($this->rep, '/accounts'));
        View::composer('results.index', fn () => session()->now('said', 'It is recorded.'));
        $this->made($this->rep, '/results');
        $this->made($this->rep, '/results');
    }

    public function test_what_a_browser_remembers_is_on_the_next(): void
    {
        $this->settled($this->rep, '/finder?on=accounts');
        $this->withCookie(ResultColumn::cookie(Subject::Accounts), '["headcount"]');
        $this->made($this->rep, '/finder?on=accounts');
        $this->withCookie(config()->string('session.cookie'), 'another')->withCookie('XSRF-TOKEN', 'another');
        $this->kept($this->rep, '/finder?on=accounts');
    }

    public function test_after_a_minute_it_is_made_anew(): void
    {
        $this->made($this->rep, '/accounts');
        $this->at('2026-11-23T09:00:59Z');
        $this->kept($this->rep, '/accounts');
        $this->at('2026-11-23T09:01:01Z');
        $this->made($this->rep, '/accounts');
    }

    public function test_a_page_is_not_kept_of_which_something_was_written_while_it_was_made(): void
    {
        $writes = true;
        View::composer('accounts.index', function () use (&$writes): void {
            $writes && DB::table('accounts')->update(['name' => 'Kupferhof Ansgar']);
        });
        $this->made($this->rep, '/accounts');
        $writes = false;
        self::assertStringContainsString('Kupferhof Ansgar', $this->made($this->rep, '/accounts'));
        $this->kept($this->rep, '/accounts');
    }

    public function test_marks_that_were_lost_keep_nothing(): void
    {
        $this->made($this->rep, '/accounts');
        Cache::forget('mark of accounts');
        $this->made($this->rep, '/accounts');
        DB::table('accounts')->update(['name' => 'Kupferhof Ansgar']);
        Cache::forget('mark of accounts');
        $this->made($this->rep, '/accounts');
        config(['luftig.keep_pages' => false]);
        $this->made($this->rep, '/accounts');
    }

    public function test_nobody_who_is_erased_stays_on_a_page(): void
    {
        $folder = storage_path('framework/testing/pages');
        config(['cache.pages' => 'pages', 'cache.stores.pages.path' => $folder]);
        $contact = Contact::query()->firstOrFail();
        $this->made($this->rep, "/contacts/{$contact->id}");
        self::assertCount(1, File::allFiles($folder));
        EraseContact::erase($contact, $this->rep);
        self::assertSame([], File::allFiles($folder));
        File::deleteDirectory($folder);
    }

    public function test_it_is_known_with_rows_of_which_tables_others_go(): void
    {
        self::assertSame(TableMarks::PARENTS, DB::table('information_schema.REFERENTIAL_CONSTRAINTS')
            ->where('CONSTRAINT_SCHEMA', DB::getDatabaseName())->whereIn('DELETE_RULE', ['CASCADE', 'SET NULL'])
            ->distinct()->pluck('REFERENCED_TABLE_NAME')->sort()->values()->all());
    }

    public function test_every_table_is_heard_of_that_a_page_asks(): void
    {
        $tables = array_diff(Schema::getTableListing(schemaQualified: false), ['sessions', 'submissions', 'turns']);
        $marks = app(TableMarks::class);
        DB::listen(function ($statement) use ($tables, $marks): void {
            // A name that is neither that of a column nor of a table with a column of its own.
            preg_match_all('/(?<![.\w`@])`?(\w+)`?(?![\w`]*\.)/', $statement->sql, $words);
            if (str_starts_with(ltrim(strtolower($statement->sql)), 'select')) {
                self::assertSame([], array_diff(array_intersect($tables, $words[1]), $marks->read()), $statement->sql);
            }
        });
        $contact = Contact::query()->firstOrFail();
        foreach ([
            '/', '/accounts', "/accounts/{$this->account->id}", '/contacts', "/contacts/{$contact->id}", '/finder',
            '/network', '/results', '/look-ups', "/rules/{$this->offer->id}",
            "/accounts/{$this->account->id}/reasons/new", '/begin', '/intake', '/results/learned',
            '/finder/words?on=accounts', "/rules/versions/{$this->offer->rules?->id}",
        ] as $path) {
            $this->settled($this->lead, $path);
            $this->kept($this->lead, $path);
        }
    }

    /** The first look may write: whom a plan has is reserved, what changed goes into the Finder's index. */
    private function settled(User $who, string $path): string
    {
        $this->page($who, $path);

        return $this->page($who, $path)[0];
    }

    /** @param  array<string, string>  $headers */
    private function made(User $who, string $path, array $headers = []): string
    {
        [$page, $made] = $this->page($who, $path, $headers);
        self::assertGreaterThan(0, $made, "$path is made anew.");

        return $page;
    }

    private function kept(User $who, string $path): string
    {
        [$page, $made] = $this->page($who, $path);
        self::assertSame(0, $made, "$path is shown again.");

        return $page;
    }

    /**
     * @param  array<string, string>  $headers
     * @return array{string, int} the page, and how many views were made for it
     */
    private function page(User $who, string $path, array $headers = []): array
    {
        $this->made = 0;
        $page = (string) $this->actingAs($who)->get($path, $headers)->assertOk()->getContent();

        return [$page, $this->made];
    }

    private static function withoutMarks(string $page): string
    {
        return (string) preg_replace('/name="_once" value="\w{12}"/', '', $page);
    }
}
