<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Decision;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\StandingState;
use App\Standings\Standings;
use App\View\Rules\Moves;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;
use Tests\TestCase;

final class StandingsTest extends TestCase
{
    public function test_the_worked_example_stands_in_the_base_with_lines_that_add_up(): void
    {
        $standing = $this->standing($this->tunhede());

        self::assertSame([StandingState::Ranked, '2027-01-31'], [$standing->state, $standing->act_by->toDateString()]);
        self::assertEqualsWithDelta([1.0, 1.12563, .588], [$standing->fit, $standing->push, $standing->access], 5e-6);
        $lines = array_sum(
            array_map(fn (array $line): float => (new PointLines)->ofPush($standing->fit, $line[5]), $standing->lines),
        );
        self::assertEqualsWithDelta(
            $standing->points,
            Points::START + 25 * $standing->fit + $lines + 12 * $standing->access,
            1e-9,
        );
        self::assertEqualsWithDelta(Points::curve($standing->points), $standing->priority, 1e-9);
    }

    public function test_a_week_later_it_has_aged_as_the_rules_say_and_the_act_by_day_has_not_moved(): void
    {
        $account = $this->tunhede();
        $before = $this->standing($account);
        $this->at('2026-11-30T09:00:00Z');
        (new Standings)->all();
        $after = $this->standing($account);

        self::assertEquals($before->act_by, $after->act_by);
        self::assertEqualsWithDelta($after->priority - $before->priority, $after->moved, 1e-9);
        $engineer = collect($after->lines)->firstWhere('6', min(array_column($after->lines, 6)));
        self::assertEqualsWithDelta(2 ** (-(47 - 21) / 30), $engineer[2], 1e-9);
    }

    public function test_only_what_changed_is_computed_again(): void
    {
        $account = $this->tunhede();
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount\nother.example;Other;glass;100\n");
        self::assertSame(1, (new Standings)->refresh());
        self::assertSame(0, (new Standings)->refresh());
        $this->at('2026-11-24T09:00:00Z');
        $this->bring(IntakeKind::Signals, "domain;kind;date;title\ntunhede.example;expansion;2026-11-23;New line\n");
        self::assertSame(1, (new Standings)->refresh());

        self::assertSame('2026-11-24', $this->standing($account)->computed_at->toDateString());
        self::assertSame('2026-11-23', $this->standing('other.example')->computed_at->toDateString());
    }

    public function test_waiting_out_and_kept_out_have_their_causes(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;status\nquiet.example;Quiet;glass;100;\nshop.example;Shop;retail;"
                ."100;\nrival.example;Rival;compressors;100;competitor\ncustomer.example;Customer;glass;100;\n"
                ."asked.example;Asked;glass;100;\ndropped.example;Dropped;glass;100;\n"
                ."unknown.example;Obscure;;100;\ndragged.example;Dragged;glass;100;\n",
        );
        $this->bring(IntakeKind::Customers, "domain;since;until\ncustomer.example;3/2024;\nquiet.example;2020;2021\n");
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title\nunknown.example;expansion;2026-11-20;New line\n"
                ."dragged.example;rival_signed;2026-11-20;Signed\n",
        );
        KeepOut::factory()->create([
            'type' => 'domain', 'value' => 'asked.example', 'reason' => 'asked not to be contacted',
        ]);
        Decision::query()->create([
            'offer_id' => $this->offer->id,
            'account_id' => Account::query()->where('domain', 'dropped.example')->value('id'),
            'user_id' => $this->rep->id,
            'decision' => 'dropped',
        ]);
        (new Standings)->refresh();
        $found = Account::query()->orderBy('domain')
            ->get()
            ->mapWithKeys(
                fn (Account $a): array => [
                    $a->domain => [$this->standing($a)->state->value, $this->standing($a)->cause],
                ],
            )
            ->all();

        self::assertSame([
            'asked.example' => ['kept_out', 'asked not to be contacted'],
            'customer.example' => ['kept_out', 'customer since 1 Mar 2024'],
            'dragged.example' => ['waiting', 'what is live speaks against it'],
            'dropped.example' => ['out', 'dropped by Mira'], 'quiet.example' => ['waiting', null],
            'rival.example' => ['kept_out', 'competitor'], 'shop.example' => ['out', 'makes things'],
            'unknown.example' => ['ranked', null],
        ], $found);
        self::assertEqualsWithDelta(
            .8 * (2 * 1 + .5) / 3,
            $this->standing('unknown.example')->fit,
            1e-9,
            'an unknown gate keeps it in, for less',
        );
    }

    public function test_a_contact_that_is_kept_out_gives_no_access(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)
            ->post(route('keep-out.store'), ['value' => 'pernille@tunhede.example', 'reason' => 'asked us'])
            ->assertRedirect();

        self::assertSame(0.0, $this->standing($account)->access);
        $this->actingAs($this->rep)->delete(route('keep-out.destroy', KeepOut::query()->sole()))->assertRedirect();
        self::assertEqualsWithDelta(.588, $this->standing($account)->access, 1e-9);
    }

    public function test_what_rules_would_move_is_what_they_do_move(): void
    {
        $account = $this->tunhede();
        $before = $this->standing($account)->priority;
        $form = [
            'version' => 1,
            'criteria' => [[
                'name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => '1', 'low' => '1000',
                'high' => '',
            ]],
            'kinds' => $this->kinds(),
        ];
        $html = $this->actingAs($this->lead)->post(route('rules.preview', $this->offer), $form)->assertOk()
            ->getContent();
        self::assertEqualsWithDelta($before, $this->standing($account)->priority, 1e-9, 'a preview stores nothing');
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $form)->assertSessionHasNoErrors();
        $after = $this->standing($account);

        self::assertSame(2, $after->ruleSet->version);
        self::assertLessThan($before, $after->priority);
        self::assertStringContainsString(
            round($before).' → '.round($after->priority),
            (string) preg_replace('/\s+/', ' ', strip_tags((string) $html)),
        );
        self::assertSame(0, Moves::of($this->offer, (new Standings)->preview($this->offer->refresh()->rules))->moved);
    }

    public function test_rules_saved_by_another_in_the_meantime_are_not_overwritten(): void
    {
        $form = ['version' => 1, 'criteria' => [], 'kinds' => $this->kinds()];
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $form)->assertSessionHasNoErrors();
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $form)->assertSessionHasErrors('rules');
        $broken = [
            'version' => 2,
            'criteria' => [
                ['name' => 'words', 'field' => 'text', 'mode' => 'prefer', 'weight' => '1', 'value' => '(a OR'],
            ],
        ]
            + $form;
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $broken)
            ->assertSessionHasErrors('rules');

        self::assertStringContainsString('“words”', (string) session('errors')->first('rules'));
        self::assertSame(
            [1, 2],
            $this->offer->ruleSets()->orderBy('version')->pluck('version')->sort()->values()->all(),
        );
    }

    public function test_a_recomputation_that_breaks_off_leaves_the_marks(): void
    {
        $account = $this->tunhede();
        DB::table('accounts')->update(['stale' => true]);
        DB::table('channels')->update(['type' => 'pigeon']);
        try {
            (new Standings)->refresh();
            self::fail('it went through');
        } catch (\ValueError) {
        }

        self::assertSame(1, Account::query()->where('stale', true)->count());
        self::assertSame(StandingState::Ranked, $this->standing($account)->state);
    }

    /** @return array<string, array<string, mixed>> the standard catalogue as its form sends it */
    private function kinds(): array
    {
        return array_map(
            fn ($rule): array => [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
                'counts' => $rule->counts->value,
            ],
            \Luftig\Core\Signal\Catalogue::standard()->rules,
        );
    }
}
