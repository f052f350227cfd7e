<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\RunFeed;
use App\Intake\Importer;
use App\Models\Feed;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Support\Turn;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\TestCase;

/** One at a time, on however many machines. */
final class TurnTest extends TestCase
{
    public function test_only_one_has_it_until_it_ends_or_is_silent(): void
    {
        self::assertFalse(Turn::isTaken('x'));
        $first = Turn::take('x', 60);
        self::assertNotNull($first);
        self::assertTrue(Turn::isTaken('x'));
        self::assertNull(Turn::take('x', 60));
        self::assertNotNull(Turn::take('y', 60), 'of something else');
        $first->keep();
        $first->end();
        self::assertFalse(Turn::isTaken('x'));

        $silent = Turn::take('x', 60);
        $this->silence('x');
        self::assertFalse(Turn::isTaken('x'));
        $next = Turn::take('x', 60);
        self::assertNotNull($next);
        $silent?->end();
        self::assertTrue(Turn::isTaken('x'), 'whoever lost it does not end another’s');
        $this->expectException(RuntimeException::class);
        $silent?->keep();
    }

    public function test_who_gave_no_sign_for_a_while_and_then_one_still_has_it_where_nobody_took_it(): void
    {
        $turn = Turn::take('x', 60);
        $this->silence('x');
        $turn?->keep();
        self::assertNull(Turn::take('x', 60));
    }

    public function test_an_importer_that_lost_its_turn_keeps_nothing_of_its_batch(): void
    {
        $intake = $this->receive(IntakeKind::Accounts, "domain;name\ntunhede.example;Tunhede\n");
        DB::listen(function ($query): void {
            static $once = true;
            if ($once && str_contains($query->sql, '`turns`') && str_contains($query->sql, 'select')) {
                $once = false;
                DB::table('turns')->update(['owner' => 'another']);
            }
        });
        try {
            (new Importer)->run($intake);
            self::fail('It went on.');
        } catch (RuntimeException $e) {
            self::assertStringContainsString("another's by now", $e->getMessage());
        }
        self::assertSame(0, DB::table('accounts')->count());
        self::assertSame(IntakeState::Running, $intake->refresh()->state);
        DB::table('turns')->delete();
        (new Importer)->run($intake);
        self::assertSame([1, 1], [$intake->refresh()->created, DB::table('accounts')->count()]);
    }

    public function test_a_feed_is_asked_by_one_at_a_time(): void
    {
        $feed = Feed::factory()->create();
        $turn = Turn::take("feed {$feed->id}", 60);
        self::assertNull((new RunFeed)->run($feed));
        $turn?->end();
        self::assertNotNull((new RunFeed)->run($feed));
    }

    public function test_a_file_whose_job_was_lost_before_it_began_goes_on(): void
    {
        Queue::fake();
        $intake = $this->receive(IntakeKind::Accounts, "domain;name\ntunhede.example;Tunhede\n");
        $this->artisan('luftig:resume')->assertSuccessful();
        Queue::assertNothingPushed();
        Intake::query()->whereKey($intake->id)->toBase()->update(['updated_at' => now()->subMinutes(2)]);
        $this->artisan('luftig:resume')->expectsOutputToContain('accounts.csv goes on.')->assertSuccessful();
    }

    private function silence(string $of): void
    {
        DB::table('turns')->where('of', $of)->update(['until' => DB::raw('UNIX_TIMESTAMP() - 1')]);
    }
}
