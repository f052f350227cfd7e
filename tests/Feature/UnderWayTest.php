<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Jobs\RunIntake;
use App\Models\Account;
use App\Models\FeedRun;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\LookUpRun;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Standings\Standings;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** What takes a while is told of in one way, goes on while nobody looks, and is stopped with what was done kept. */
final class UnderWayTest extends TestCase
{
    use HasOutside;

    private function rows(int $many): string
    {
        return "domain;name\n".implode('', array_map(
            fn (int $n): string => "firm$n.example;Firm $n\n", range(1, $many),
        ));
    }

    public function test_a_file_that_somebody_stops_keeps_whole_parts_and_is_gone_on_with(): void
    {
        $intake = $this->receive(IntakeKind::Accounts, $this->rows(4500));
        $intake->update(['user_id' => $this->rep->id]);
        (new Importer)->run($intake, function () use ($intake): bool {
            $this->actingAs($this->rep)->get('/under-way')->assertSeeText('Accounts, being brought in.')
                ->assertSee('Stop '.$intake->name)->assertSee('hx-trigger="every 2s"', false);
            $this->post(route('intake.stop', $intake))->assertRedirect();

            return true;
        });
        (new Standings)->refresh();
        $intake->refresh();
        self::assertSame([IntakeState::Stopped, 2000, 2000], [
            $intake->state, $intake->created, Account::query()->count(),
        ]);
        $this->get(route('intake.show', $intake))->assertSeeText("{$this->rep->name} stopped it.")->assertSee('Go on')
            ->assertSee('alert-primary')->assertDontSee('alert-danger');
        $this->get('/under-way')->assertSeeText('Stopped half-way')->assertDontSee('hx-trigger="every 2s"', false);

        Queue::fake();
        $this->post(route('intake.resume', $intake));
        Queue::assertPushed(RunIntake::class, 1);
        (new Importer)->run($intake->refresh());
        self::assertSame([IntakeState::Done, 4500, null, null], [
            $intake->refresh()->state, $intake->created, $intake->message, $intake->stopped_by,
        ]);
        $this->get(route('intake.show', $intake))->assertDontSeeText('stopped it');
        $this->get('/under-way')->assertSeeText('Ended lately')->assertSeeText('Accounts, brought in');
    }

    public function test_one_that_is_stopped_before_it_began_does_not_begin(): void
    {
        $intake = $this->receive(IntakeKind::Accounts, $this->rows(3));
        $this->actingAs($this->lead)->post(route('intake.stop', $intake));
        (new Importer)->run($intake);
        self::assertSame([IntakeState::Stopped, 0], [$intake->refresh()->state, Account::query()->count()]);
        // Nothing that has ended is stopped.
        $intake->update(['state' => IntakeState::Done]);
        $this->post(route('intake.stop', $intake));
        self::assertSame(IntakeState::Done, $intake->refresh()->state);
    }

    public function test_a_feed_that_is_paused_on_the_way_ends_at_the_next_page_and_goes_on_from_there(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $this->world('rounds', array_map(fn (int $i): array => [
            'id' => "r$i", 'domain' => 'tunhede.example', 'at' => sprintf('2026-%02d-01T00:00:00Z', 1 + $i % 11),
            'round' => 'A', 'amount' => 1e6, 'currency' => 'EUR',
        ], range(1, 120)));
        $feed = $this->feed('funding-rounds', 'register/rounds.json');
        $paused = false;
        FeedRun::saved(function (FeedRun $run) use ($feed, &$paused): void {
            if ($run->came > 0 && ! $paused) {
                $paused = true;
                $this->actingAs($this->rep)->get('/under-way')->assertSeeText("{$run->came} items came so far")
                    ->assertDontSee("Stop {$feed->name}");
                $this->actingAs($this->lead)->get('/under-way')->assertSee("Stop {$feed->name}");
                // What it does now is stopped; it is neither asked beside that, nor paused another way.
                $this->get(route('feeds.show', $feed))->assertSeeText('Stop')->assertDontSeeText('Ask it now')
                    ->assertDontSeeText('Pause');
                $this->patch(route('feeds.pause', $feed));
                $this->get(route('feeds.show', $feed))->assertSeeText('Go on')->assertDontSeeText('Ask it now');
            }
        });
        $run = $this->ask($feed);
        FeedRun::flushEventListeners();
        self::assertSame('Paused on the way; what came stays, and it goes on from there.', $run->problem);
        self::assertGreaterThan(0, $run->came);
        self::assertLessThan(120, $run->came);
        self::assertSame([null, 0], [$feed->refresh()->problem, $feed->failures], 'nothing is wrong with the source');
        $this->get(route('feeds.show', $feed))->assertSeeTextInOrder(['Ask it now', 'Go on', 'Change']);
        $this->patch(route('feeds.pause', $feed));
        self::assertSame(120, $run->came + $this->ask($feed)->came, 'what came is not asked for again');
    }

    public function test_the_ranking_says_how_far_it_has_followed_the_rules(): void
    {
        $this->tunhede();
        Account::factory()->count(3)->create();
        (new Standings)->all();
        $this->actingAs($this->rep)->get('/under-way')->assertSeeText('Nothing goes on at present.');
        $older = $this->offer->rules;
        $newer = RuleSet::query()->create(['version' => 9] + $older->only(
            'offer_id', 'criteria', 'kinds', 'buyer_roles', 'roles_of_interest', 'technologies', 'topics', 'points',
        ));
        Standing::query()->orderBy('account_id')->limit(1)->update(['rule_set_id' => $newer->id]);
        foreach (['/under-way', '/rules/'.$this->offer->id] as $screen) {
            $this->actingAs($this->lead)->get($screen)
                ->assertSeeText('1 of 4 accounts computed by version 9 of the rules; the others stand as they were.');
        }
        Standing::query()->update(['rule_set_id' => $newer->id]);
        Account::query()->limit(2)->update(['stale' => true]);
        $this->get('/under-way')->assertSeeText('2 accounts wait to be computed anew.');
        (new Standings)->refresh();
        $this->get('/under-way')->assertSeeText('Nothing goes on at present.');
    }

    public function test_what_is_somebody_s_own_is_not_told_to_others(): void
    {
        $book = $this->receive(IntakeKind::Relations, "name;email\nOlav Brekke;olav@tunhede.example\n");
        $book->update(['user_id' => $this->rep->id, 'whose_id' => $this->rep->id, 'state' => IntakeState::Running]);
        $run = LookUpRun::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->lead->id, 'state' => LookUpRun::RUNNING]);
        $this->actingAs($this->rep)->get('/under-way')->assertSee($book->name)->assertSee($run->name)
            ->assertSee("Stop {$book->name}")->assertDontSee("Stop {$run->name}");
        $this->actingAs($this->lead)->get('/under-way')->assertDontSee($book->name)->assertSee("Stop {$run->name}");
        $this->post(route('intake.stop', $book))->assertForbidden();
    }
}
