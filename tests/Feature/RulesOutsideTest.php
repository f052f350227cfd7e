<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\RuleSet;
use App\Standings\RuleBook;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What an offer looks out for outside, as leads write it down: technologies and topics. */
final class RulesOutsideTest extends TestCase
{
    /**
     * The form as it stands in the browser, with some of it changed.
     *
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private function form(array $changes): array
    {
        $kinds = array_map(fn (KindRule $rule): array => [
            'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold,
            'half_life' => $rule->halfLife,
            'counts' => match ($rule->sign) {
                0 => 'ignored', -1 => 'against', default => 'for'
            },
        ], RuleBook::of($this->offer->rules ?? new RuleSet)->catalogue->rules);

        return $changes + [
            'version' => $this->offer->refresh()->rules->version ?? 0, 'kinds' => $kinds, 'criteria' => [[
                'name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => '2', 'test' => 'range',
                'low' => '40', 'high' => '1500',
            ]],
        ];
    }

    public function test_technologies_are_kept_by_what_they_are_to_us_each_once(): void
    {
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $this->form([
            'technologies' => ['completes' => " Vedliko Plan;Ordnor ,\nVedliko Plan", 'replaces' => 'Tryklog'],
        ]))->assertSessionHasNoErrors();
        $rules = $this->offer->refresh()->rules;
        self::assertSame(
            ['completes' => ['Vedliko Plan', 'Ordnor'], 'replaces' => ['Tryklog']], $rules?->technologies,
        );
        $this->get(route('rules.edit', $this->offer))->assertSee('value="Vedliko Plan, Ordnor"', false)
            ->assertSee('value="Tryklog"', false);
        // Taken out again, each that comes or goes is told.
        $this->post(route('rules.store', $this->offer), $this->form([
            'technologies' => ['completes' => '', 'replaces' => ' , '],
        ]))->assertSessionHasNoErrors();
        self::assertSame([], $this->offer->refresh()->rules?->technologies);
    }

    public function test_topics_have_a_name_or_are_called_by_their_query(): void
    {
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $this->form(['topics' => [
            'a' => ['name' => 'Leaks', 'query' => 'leak* OR "compressed air"'],
            'b' => ['name' => '', 'query' => '"power price*"'], 'c' => ['name' => ' ', 'query' => ''],
        ]]))->assertSessionHasNoErrors();
        self::assertSame([
            ['name' => 'Leaks', 'query' => 'leak* OR "compressed air"'],
            ['name' => '"power price*"', 'query' => '"power price*"'],
        ], $this->offer->refresh()->rules?->topics);
        $this->get(route('rules.edit', $this->offer))->assertSee('leak* OR &quot;compressed air&quot;', false);
    }

    /** @return array<string, array{array<string, mixed>}> */
    public static function mistakes(): array
    {
        return [
            'a query without its end' => [['topics' => [['name' => 'Leaks', 'query' => '"leak']]]],
            'a query that says nothing' => [['topics' => [['name' => 'Leaks', 'query' => 'OR OR']]]],
            'a topic without a query' => [['topics' => [['name' => 'Leaks', 'query' => '']]]],
            'another list of technologies' => [['technologies' => ['hates' => 'Tryklog']]],
        ];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('mistakes')]
    public function test_what_cannot_be_read_is_said_and_nothing_is_saved(array $changes): void
    {
        $this->actingAs($this->lead)->from(route('rules.edit', $this->offer))
            ->post(route('rules.store', $this->offer), $this->form($changes))
            ->assertRedirect(route('rules.edit', $this->offer))->assertSessionHasErrors();
        self::assertSame(1, $this->offer->refresh()->rules?->version);
    }

    public function test_a_version_keeps_the_kinds_as_they_were_written(): void
    {
        $form = $this->form([]);
        $form['kinds'][Kind::News->value]['weight'] = '0.4';
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $form)->assertSessionHasNoErrors();
        $rules = RuleBook::of($this->offer->refresh()->rules ?? new RuleSet)->catalogue->rules;
        self::assertSame(.4, $rules[Kind::News->value]->weight);
        self::assertSame(.55, $rules[Kind::NewLeader->value]->weight, 'the others stay');
    }
}
