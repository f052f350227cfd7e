<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Feed;
use App\Models\User;
use App\Support\Health;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Laravel\Sanctum\Sanctum;
use Tests\TestCase;

/** Whether all is well, for leads and for programs that watch. */
final class StatusTest extends TestCase
{
    private string $backup;

    protected function setUp(): void
    {
        parent::setUp();
        $this->backup = (string) tempnam(sys_get_temp_dir(), 'luftig');
        config(['luftig.backed_up' => $this->backup]);
        file_put_contents($this->backup, "2026-11-22T09:00:00Z\n");
        Health::beat();
    }

    protected function tearDown(): void
    {
        @unlink($this->backup);
        parent::tearDown();
    }

    public function test_a_lead_sees_that_all_is_well(): void
    {
        $this->tunhede();
        $this->actingAs($this->rep)->get('/status')->assertForbidden();
        $this->actingAs($this->lead)->get('/status')->assertOk()->assertSeeText('all is well')
            ->assertSeeText('nothing waits')->assertSeeText('made 1 day ago')->assertDontSeeText('needs a look');
        $this->get('/team')->assertSee(route('status'));
    }

    public function test_what_is_not_well_is_named_with_what_to_do(): void
    {
        $this->actingAs($this->lead);
        DB::table('jobs')->insert([
            'queue' => 'default', 'payload' => '', 'attempts' => 0, 'available_at' => now()->getTimestamp() - 400,
            'created_at' => now()->getTimestamp() - 400,
        ]);
        DB::table('failed_jobs')->insert([
            'uuid' => 'x', 'connection' => 'database', 'queue' => 'default', 'payload' => '', 'exception' => '',
            'failed_at' => now(),
        ]);
        Feed::factory()->create(['problem' => 'It does not answer.']);
        Feed::factory()->create(['problem' => 'It does not answer.', 'paused' => true]);
        unlink($this->backup);
        Cache::forget('scheduler');
        $this->get('/status')->assertSeeText('5 things need a look')->assertSeeText('is a worker running?')
            ->assertSeeText('1 is asked, 1 fails')->assertSeeText('has not run yet')->assertSeeText('none was made');
        file_put_contents($this->backup, '2026-11-15T09:00:00Z');
        $this->get('/status')->assertSeeText('made 8 days ago')->assertSeeText('./luftig backup makes one');
    }

    public function test_what_somebody_does_far_more_often_than_work_asks_for_needs_a_look(): void
    {
        activity()->enableLogging();
        $does = function (User $who, string $deed, int $times, string $at = self::NOW): void {
            $this->at($at);
            for ($i = 0; $i < $times; $i++) {
                activity()->causedBy($who)->log($deed);
            }
            $this->at(self::NOW);
        };
        $does($this->rep, 'exported', 24);
        $does($this->rep, 'exported', 30, '2026-11-22T08:59:00Z');
        $does($this->rep, 'was refused', 9);
        $does($this->lead, 'sign-in failed', 9);
        $does($this->lead, 'signed in', 40);
        Health::beat();
        $this->actingAs($this->lead)->get('/status')->assertSeeText('all is well')
            ->assertSeeText('nothing unusual within a day');
        $does($this->rep, 'exported', 1);
        $does($this->lead, 'sign-in failed', 1);
        $does($this->lead, 'sign-in failed at the second factor', 5);
        $this->get('/status')->assertSeeText('1 thing needs a look')->assertSeeText(
            'Mira: 25 exports; Ylva: 10 sign-ins that failed; Ylva: 5 codes that did not count, within a day',
        );
        config(['luftig.metrics_key' => 'a key of theirs']);
        $text = $this->get('/metrics', ['Authorization' => 'Bearer a key of theirs'])->assertOk()->content();
        self::assertStringContainsString("luftig_unusual 3\n", (string) $text);
    }

    public function test_who_asks_far_more_within_an_hour_than_work_does_is_noticed(): void
    {
        activity()->enableLogging();
        $log = fn (): int => DB::table('activity_log')->where('description', 'asked very often')->count();
        RateLimiter::increment("user {$this->rep->id} asked", 3600, 5998);
        RateLimiter::increment("program of user {$this->rep->id} asked", 3600, 9000);
        Sanctum::actingAs($this->rep, ['*']);
        $this->get('/api/accounts');
        $this->app?->make('auth')->forgetGuards();
        $this->actingAs($this->rep)->get('/pace');
        self::assertSame(0, $log(), 'Five thousand nine hundred and ninety-nine are not too many.');
        $this->get('/pace');
        $this->get('/pace');
        self::assertSame(1, $log());
        $this->at('2026-11-23T10:00:01Z');
        $this->get('/pace');
        self::assertSame(1, $log(), 'A new hour has begun.');
        $this->post('/sign-out');
        RateLimiter::increment('network 127.0.0.1 asked', 3600, 5999);
        $this->get('/up');
        $this->get('/metrics');
        self::assertSame(1, $log(), 'What watches may ask each second.');
        $this->get('/sign-in');
        Health::beat();
        $this->actingAs($this->lead)->get('/status')->assertSeeText('Mira: 1 hour of very many requests')
            ->assertSeeText('None of us: 1 hour of very many requests');
    }

    public function test_programs_that_watch_need_a_key(): void
    {
        $this->get('/metrics')->assertNotFound();
        config(['luftig.metrics_key' => 'a key of theirs']);
        $this->get('/metrics')->assertNotFound();
        $this->get('/metrics', ['Authorization' => 'Bearer another'])->assertNotFound();
        $text = $this->get('/metrics', ['Authorization' => 'Bearer a key of theirs'])->assertOk()->content();
        self::assertStringContainsString("# TYPE luftig_jobs gauge\nluftig_jobs 0\n", (string) $text);
        self::assertStringContainsString("luftig_backup_age_seconds 86400\n", (string) $text);
        foreach (explode("\n", trim((string) $text)) as $line) {
            self::assertMatchesRegularExpression('/^(# (HELP|TYPE) \w+ .+|luftig_\w+ -?[\d.]+(e[+-]?\d+)?)$/iu', $line);
        }
        $this->get('/metrics')->assertNotFound();
    }
}
