<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\KeepOut\EntriesInForce;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Result;
use App\Models\Role;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\StruckSignal;
use App\Models\User;
use App\Standings\Standings;
use App\View\Results\LessonPage;
use App\View\Today\Plan;
use App\View\Today\PlanRow;
use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Tests\TestCase;

/** A month of a rep's days by a clock that is moved: what is proposed, recorded, answered, and what follows from it. */
final class MonthTest extends TestCase
{
    private const DAYS = 21;

    private const PACE = 6;

    /** On this day a lead accepts what the results speak for. */
    private const LEARNS = 18;

    /** What comes of the approaches, in turn. */
    private const RESULTS = [
        Result::Silent, Result::Later, Result::Bounced, Result::Interested, Result::Left, Result::Interested,
        Result::Stop, Result::No, Result::Meeting, Result::WrongPerson,
    ];

    public function test_nobody_kept_out_is_proposed_no_account_gets_more_than_its_pace_and_no_reason_is_spent(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        (new Scenario(90, 640, 780, 0, 0))->load(fn (string $line) => null);
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $mira = User::query()->orderBy('id')->firstOrFail();
        $mira->update(['pace' => self::PACE]);
        $day = CarbonImmutable::parse(self::NOW)->setTime(8, 0);
        $proposed = $answered = 0;
        for ($n = 0; $n < self::DAYS; $n++, $day = $day->addWeekday()) {
            $this->at($day->toIso8601ZuluString());
            (new Standings)->all();
            $rows = array_merge(...array_values((new Plan($offer, $mira))->groups()) ?: [[]]);
            self::assertLessThanOrEqual(self::PACE, count($rows));
            $this->assertSound($rows);
            $proposed += count($rows);
            $recorded = false;
            foreach ($rows as $row) {
                $this->actingAs($mira);
                $isFresh = array_filter($row->draft->restsOn, fn ($line): bool => $line->isFresh()) !== [];
                // One a day is only recorded, and approached on another day; in the last days, what is ready stays so.
                if ($row->reason === null && $isFresh && ! $recorded) {
                    $recorded = $this->recordsTheReason($row);
                } elseif ($row->reason === null || $n < self::DAYS - 10) {
                    $this->approaches($row);
                }
            }
            $answered += $this->takesResults($mira, $n);
            $n % 3 === 1 && $this->strikesOut($mira);
            $n === self::LEARNS && $this->acceptsWhatWasLearned();
        }
        self::assertGreaterThan(60, $proposed, 'there was something to do all month');
        self::assertGreaterThan(40, $answered);
        $this->assertPace();
        $this->assertReasons();
    }

    /** @param  list<PlanRow>  $rows */
    private function assertSound(array $rows): void
    {
        $barred = EntriesInForce::now();
        $soon = CarbonImmutable::now();
        foreach ($rows as $row) {
            $account = $row->standing->account;
            self::assertNull($barred->account($account->id, $account->domain), "$account->name is kept out");
            self::assertSame([], array_filter(
                Approach::query()->where('account_id', $account->id)->whereNotNull('later_on')->pluck('later_on')
                    ->all(),
                fn ($later): bool => $later > $soon->startOfDay(),
            ), "$account->name waits for its day");
            if ($row->contact === null) {
                continue;
            }
            self::assertNull($barred->contact($row->contact->id), $row->contact->name().' is kept out');
            self::assertFalse(
                Approach::query()->where('contact_id', $row->contact->id)->where('made_at', '>', $soon->subDays(30))
                    ->exists(),
                $row->contact->name().' was approached within thirty days',
            );
            // What is said rests on what is fresh, and nothing in it is open.
            self::assertStringNotContainsString('[', $row->draft->words());
            foreach ($row->draft->restsOn as $line) {
                self::assertTrue($line->mayBeSaid());
            }
        }
    }

    private function approaches(PlanRow $row): void
    {
        $this->post(route('accounts.approach', $row->standing->account_id), [
            'kind' => 'message', 'contact' => $row->contact?->id, 'words' => $row->draft->words(),
        ])->assertSessionHasNoErrors();
    }

    private function recordsTheReason(PlanRow $row): bool
    {
        $fresh = array_filter($row->draft->restsOn, fn ($line): bool => $line->isFresh());
        $this->post(route('reasons.store', $row->standing->account_id), [
            'contact' => $row->contact?->id, 'words' => $row->draft->words(), 'angle' => $row->draft->angle,
            'signals' => array_map(fn ($line): string => (string) $line->signal->id, array_values($fresh)),
        ])->assertSessionHasNoErrors();

        return true;
    }

    /** Some days after, each approach has a result. */
    private function takesResults(User $mira, int $n): int
    {
        $open = Approach::query()->whereNull('result')->where('made_at', '<', now()->subDays(2))->orderBy('id')->get();
        foreach ($open as $approach) {
            $result = self::RESULTS[$approach->id % count(self::RESULTS)];
            $this->actingAs($mira)->patch(route('approaches.update', $approach), [
                'result' => $result->value,
                'later_on' => $result === Result::Later ? today()->addDays(20)->toDateString() : null,
                'instead' => $result === Result::WrongPerson ? 'Somebody else' : null,
            ])->assertSessionHasNoErrors();
        }

        return $open->count();
    }

    /** A signal that a ready reason rests on turns out to be wrong. */
    private function strikesOut(User $mira): void
    {
        $ready = Reason::query()->inState('ready')->latest('id')->get();
        $signal = Signal::query()->where('derived', false)->whereKey($ready->flatMap(
            fn (Reason $one): array => array_column($one->evidence['signals'] ?? [], 'id'),
        ))->first();
        $signal !== null && $this->actingAs($mira)
            ->delete(route('signals.destroy', $signal), ['reason' => 'It is about others.'])
            ->assertSessionHasNoErrors();
    }

    private function acceptsWhatWasLearned(): void
    {
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $page = new LessonPage($offer);
        $ylva = User::query()->where('role', Role::Lead)->firstOrFail();
        $this->actingAs($ylva)->post(route('lessons.store'), [
            'accepted' => 1, 'mark' => $page->mark(), 'version' => $page->version(),
        ])->assertSessionHasNoErrors();
        $rules = $offer->refresh()->rules;
        self::assertNotNull($rules?->lesson_id);
        self::assertSame([$rules->id], Standing::query()->where('offer_id', $offer->id)->distinct()
            ->pluck('rule_set_id')->all(), 'the ranking follows it');
    }

    private function assertPace(): void
    {
        $heads = Contact::query()->join('accounts', 'accounts.id', '=', 'contacts.account_id')
            ->pluck('accounts.headcount', 'accounts.id');
        foreach (Approach::query()->orderBy('made_at')->get()->groupBy('account_id') as $account => $own) {
            $most = min(4, max(1, intdiv((int) ($heads[$account] ?? 20), 5)));
            foreach ($own as $one) {
                self::assertLessThanOrEqual($most, $own->whereBetween('made_at', [
                    $one->made_at->subDays(14)->addSecond(), $one->made_at,
                ])->count(), "account $account");
            }
        }
        self::assertGreaterThan(0, KeepOut::query()->where('reason', 'left the position')->count());
        self::assertGreaterThan(0, KeepOut::query()->where('reason', KeepOut::ASKED)->count());
    }

    private function assertReasons(): void
    {
        $struck = StruckSignal::query()->pluck('id')->all();
        $ready = Reason::query()->inState('ready')->get();
        self::assertNotEmpty($ready);
        foreach ($ready as $reason) {
            self::assertSame([], array_intersect(array_column($reason->evidence['signals'], 'id'), $struck));
            foreach ($reason->evidence['signals'] as $signal) {
                self::assertGreaterThan(today()->toDateString(), $signal['fresh_until'], $signal['title']);
            }
            self::assertFalse($reason->isExpired());
        }
        $spent = Reason::query()->inState('expired')->get();
        self::assertCount(0, $spent->reject(fn (Reason $one): bool => $one->isExpired()));
        self::assertTrue($spent->contains(fn (Reason $one): bool => $one->isStruck()), 'one was struck out under it');
    }
}
