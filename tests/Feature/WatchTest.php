<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Lists\RunWatch;
use App\Mail\Outbox;
use App\Models\Account;
use App\Models\IntakeKind;
use App\Models\Rhythm;
use App\Models\Role;
use App\Models\Watch;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Illuminate\Mail\Transport\ArrayTransport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** When watches run, and what they do when something goes wrong. */
final class WatchTest extends TestCase
{
    /** @return array<string, array{Rhythm, string, int, string, string}> now, hour, zone, next */
    public static function times(): array
    {
        return [
            'today still' => [Rhythm::Daily, '2026-11-23 05:00', 7, 'UTC', '2026-11-23 07:00'],
            'at its very hour it is the next day’s' => [
                Rhythm::Daily, '2026-11-23 07:00', 7, 'UTC', '2026-11-24 07:00',
            ],
            'by another clock' => [Rhythm::Daily, '2026-11-23 05:00', 7, 'America/New_York', '2026-11-23 12:00'],
            'where it is tomorrow already' => [Rhythm::Daily, '2026-11-23 20:00', 6, 'Asia/Tokyo', '2026-11-23 21:00'],
            'the night that is an hour shorter' => [
                Rhythm::Daily, '2026-03-28 12:00', 6, 'Europe/Stockholm', '2026-03-29 04:00',
            ],
            'the night that is an hour longer' => [
                Rhythm::Daily, '2026-10-24 12:00', 6, 'Europe/Stockholm', '2026-10-25 05:00',
            ],
            'an hour that is left out that night' => [
                Rhythm::Daily, '2026-03-28 12:00', 2, 'Europe/Stockholm', '2026-03-29 01:00',
            ],
            'this Monday' => [Rhythm::Weekly, '2026-11-23 04:00', 6, 'Europe/Copenhagen', '2026-11-23 05:00'],
            'next Monday' => [Rhythm::Weekly, '2026-11-25 04:00', 6, 'Europe/Copenhagen', '2026-11-30 05:00'],
            'Sunday late, Monday there' => [
                Rhythm::Weekly, '2026-11-22 23:30', 6, 'Europe/Copenhagen', '2026-11-23 05:00',
            ],
            'the first of the month' => [Rhythm::Monthly, '2026-01-31 12:00', 8, 'UTC', '2026-02-01 08:00'],
            'over the year' => [Rhythm::Monthly, '2026-12-01 09:00', 8, 'UTC', '2027-01-01 08:00'],
        ];
    }

    #[DataProvider('times')]
    public function test_it_runs_at_the_watchers_own_hour(
        Rhythm $rhythm,
        string $now,
        int $hour,
        string $zone,
        string $next,
    ): void {
        self::assertSame($next, $rhythm->after(CarbonImmutable::parse($now, 'UTC'), $hour, $zone)->format('Y-m-d H:i'));
    }

    public function test_one_that_fails_keeps_none_of_the_others_and_is_tried_again(): void
    {
        Mail::fake();
        $account = $this->tunhede();
        $this->actingAs($this->rep);
        foreach (['Torn', 'Whole'] as $name) {
            $this->post(route('watches.store'), [
                'name' => $name, 'on' => 'accounts', 'c' => [['f' => 'headcount', 'lo' => '500']], 'rhythm' => 'daily',
                'hour' => '6', 'time_zone' => 'UTC',
            ])
                ->assertSessionHasNoErrors();
        }
        [$torn, $whole] = [
            Watch::query()->where('name', 'Torn')->sole(),
            Watch::query()->where('name', 'Whole')->sole(),
        ];
        $broken = true;
        Watch::updating(function (Watch $watch) use ($torn, &$broken): void {
            $broken && $watch->is($torn) && $watch->isDirty('ran_at') && throw new RuntimeException('torn');
        });
        $this->at('2026-11-24T06:30:00Z');
        $account->update(['headcount' => 900, 'stale' => true]);
        (new Standings)->refresh();
        RunWatch::runDue();
        $broken = false;
        self::assertSame(['a value changed'], $whole->newcomers()->pluck('why')->all());
        self::assertSame([0, '2026-11-25 06:00', '2026-11-25 06:00'], [
            $torn->newcomers()->count(),
            $torn->refresh()->next_at->format('Y-m-d H:i'),
            $whole->refresh()->next_at->format('Y-m-d H:i'),
        ]);

        $this->at('2026-11-25T06:30:00Z');
        (new Standings)->refresh();
        RunWatch::runDue();
        self::assertSame(
            [1, 1],
            [$torn->newcomers()->count(), $whole->newcomers()->count()],
            'what was missed is found at the next time, and nothing twice',
        );
    }

    public function test_a_mail_is_queued_with_what_it_tells_of_or_not_at_all(): void
    {
        config(['queue.default' => 'database', 'mail.default' => 'array', 'mail.mailers.array.transport' => 'array']);
        $queued = fn (): int => DB::table('jobs')->where('payload', 'like', '%SignInChanged%')->count();
        $within = 0;
        try {
            DB::transaction(function () use ($queued, &$within): void {
                $this->rep->update(['email' => 'm@blasvik.example']);
                $within = $queued();
                throw new RuntimeException('torn');
            });
        } catch (RuntimeException) {
        }
        self::assertSame([1, 0], [$within, $queued()], 'no moment lies between the two');
        $this->lead->update(['email' => 'y@blasvik.example']);
        self::assertSame(1, $queued());

        // Where other work waits elsewhere nobody looks after them but the scheduler.
        Outbox::send();
        config(['queue.default' => 'redis']);
        $this->lead->update(['email' => 'yl@blasvik.example']);
        self::assertSame(2, $queued());
        Outbox::send();
        self::assertSame(0, $queued());
        $transport = Mail::mailer()->getSymfonyTransport();
        self::assertInstanceOf(ArrayTransport::class, $transport);
        self::assertCount(2, $transport->messages());
    }

    public function test_a_watch_that_was_put_away_runs_no_more_until_it_is_back(): void
    {
        $this->tunhede();
        $this->actingAs($this->rep)->post(route('watches.store'), [
            'name' => 'W', 'on' => 'accounts', 'c' => [['f' => 'country', 'v' => 'NO']], 'rhythm' => 'daily',
            'hour' => '6', 'time_zone' => 'UTC',
        ]);
        $watch = Watch::query()->sole();
        $this->delete(route('watches.destroy', $watch));
        $this->at('2026-11-24T06:30:00Z');
        $this->bring(IntakeKind::Accounts, "domain;name;country\nnyholm.example;Nyholm Foods;NO\n");
        (new Standings)->refresh();
        RunWatch::runDue();
        self::assertSame(0, DB::table('watch_finds')->where('watch_id', $watch->id)->count());
        $this->post(route('watches.restore', $watch->id));
        RunWatch::runDue();
        self::assertSame(['new in the base'], Watch::query()->sole()->newcomers()->pluck('why')->all());
    }

    public function test_a_weekly_one_runs_on_the_weekday_that_is_chosen(): void
    {
        $now = CarbonImmutable::parse('2026-11-23 09:00', 'UTC');
        foreach ([1 => '30', 2 => '24', 5 => '27', 7 => '29'] as $weekday => $day) {
            self::assertSame("2026-11-$day 08:00", Rhythm::Weekly->after($now, 8, 'UTC', $weekday)->format(
                'Y-m-d H:i',
            ));
        }
    }

    public function test_it_is_changed_and_another_search_makes_nobody_of_today_new(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)->post(route('watches.store'), [
            'name' => 'W', 'on' => 'accounts', 'c' => [['f' => 'country', 'v' => 'NO']], 'rhythm' => 'daily',
            'hour' => '6', 'time_zone' => 'UTC',
        ])->assertSessionHasNoErrors();
        $watch = Watch::query()->sole();
        $changes = ['name' => 'Fridays', 'rhythm' => 'weekly', 'weekday' => '5', 'hour' => '7', 'time_zone' => 'UTC'];
        $this->patch(route('watches.update', $watch), ['rhythm' => 'hourly'] + $changes)
            ->assertSessionHasErrors('rhythm');
        $this->patch(route('watches.update', $watch), $changes)->assertSessionHasNoErrors();
        self::assertSame(
            ['Fridays', '2026-11-27 07:00', false],
            [$watch->refresh()->name, $watch->next_at->format('Y-m-d H:i'), $watch->mailed],
        );
        $undo = session('undo');
        $this->patch($undo['to'], $undo['fields']);
        self::assertSame(['W', '2026-11-24 06:00'], [$watch->refresh()->name, $watch->next_at->format('Y-m-d H:i')]);

        // From now on Danes: the one that is there is not new, the next one is.
        $this->get('/finder?on=accounts&c[0][f]=country&c[0][v]=DK')->assertOk()->assertSee('name="as"', false);
        $this->post(route('watches.store'), [
            'as' => $watch->id, 'on' => 'accounts', 'c' => [['f' => 'country', 'v' => 'DK']],
        ])->assertSessionHasNoErrors()->assertRedirect(route('watches.show', $watch));
        self::assertSame(1, Watch::query()->count());
        $this->at('2026-11-24T06:30:00Z');
        $this->bring(IntakeKind::Accounts, "domain;name;country\nskive.example;Skive Glas;DK\nosloglas.example;O;NO\n");
        (new Standings)->refresh();
        RunWatch::runDue();
        $new = Account::query()->where('domain', 'skive.example')->value('id');
        self::assertSame([$new], $watch->newcomers()->pluck('record_id')->all());
        self::assertNotSame($account->id, $new);

        // They stand on Today, and go onto a list from there.
        $this->get('/')->assertOk()->assertSeeText('1 newcomer of “W”');
        $this->get(route('watches.show', $watch))->assertOk()->assertSeeText('Add newcomers to a list');
        $this->post(route('members.store'), ['subject' => 'accounts', 'list_name' => 'New', 'only' => [$new]])
            ->assertSessionHasNoErrors();
        $this->post(route('watches.read', $watch));
        $this->get('/')->assertDontSeeText('newcomer');
        $this->actingAs($this->person('Selma', Role::Rep))->patch(route('watches.update', $watch), $changes)
            ->assertForbidden();
        $this->post(route('watches.store'), ['as' => $watch->id, 'on' => 'accounts', 'c' => ['']])->assertForbidden();
    }

    public function test_tags_given_in_bulk_are_taken_back_from_those_that_got_them(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;country\na.example;A;DK\nb.example;B;DK\nc.example;C;NO\n");
        (new Standings)->refresh();
        $ids = Account::query()->orderBy('domain')->pluck('id')->all();
        $this->actingAs($this->rep)
            ->post(route('tags.store'), ['tag' => 'fair', 'subject' => 'accounts', 'only' => [$ids[0]]]);
        $this->post(route('tags.store'), [
            'tag' => 'fair', 'subject' => 'accounts', 'on' => 'accounts', 'c' => [['f' => 'country', 'v' => 'DK']],
        ])->assertSessionHas('said', '1 account got the tag “fair”; the others had it.');
        $undo = session('undo');
        self::assertSame((string) $ids[1], $undo['fields']['record']);
        $this->delete($undo['to'], $undo['fields'])->assertSessionHasNoErrors();
        $tagged = DB::table('taggings')->pluck('record_id')->all();
        self::assertSame([$ids[0]], $tagged);
        // And again, by the undo of the undo.
        $again = session('undo');
        $this->post($again['to'], $again['fields'])->assertSessionHasNoErrors();
        self::assertSame(2, DB::table('taggings')->count());
    }
}
