<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Alike\AlikeTo;
use App\Alike\Base;
use App\Alike\Proposed;
use App\Finder\Search;
use App\Jobs\GatherPhrases;
use App\Lists\KeepResults;
use App\Models\Account;
use App\Models\Approach;
use App\Models\CustomerPeriod;
use App\Models\Feed;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\RuleSet;
use App\Standings\Standings;
use Illuminate\Support\Facades\Http;
use Luftig\Core\Likeness\Alike;
use Luftig\Core\Mistake;
use Tests\TestCase;

/** More like the best ones: by examples and counter-examples, and by the phrases that they use (rule 14). */
final class AlikeTest extends TestCase
{
    /** domain → what they say of themselves */
    private const SAY = [
        'film0' => 'Stretch film and pallet wrap, blown on three lines',
        'film1' => 'We make pallet wrap; stretch film in reels',
        'film2' => 'Reels of stretch film. Printed pallet wrap',
        'film3' => 'Stretch film, pallet wrap, silage wrap',
        'film4' => 'Silage wrap and stretch film',
        'wood0' => 'Chipboard and veneer, pressed hot', 'wood1' => 'Veneer. Chipboard for doors',
        'wood2' => 'Chipboard for doors, wrapped in stretch film',
        'glass0' => 'Bottles for spirits; melting furnaces', 'glass1' => 'Glass jars and bottles for spirits',
    ];

    /** @var array<string, int> */
    private array $ids = [];

    protected function setUp(): void
    {
        parent::setUp();
        foreach (self::SAY as $name => $text) {
            $account = Account::factory()->create([
                'name' => ucfirst($name), 'domain' => "$name.example", 'headcount' => 100, 'description' => $text,
            ]);
            $account->industries()->create([
                'position' => 0, 'code' => str_starts_with($name, 'wood') ? '1621' : '2220',
            ]);
            $this->ids[$name] = $account->id;
        }
        (new Standings)->all();
        $this->actingAs($this->rep);
    }

    public function test_from_a_few_to_others_like_them_and_the_one_that_leads_elsewhere(): void
    {
        $this->get(route('alike'))->assertSeeText('Begin with a handful of good ones')->assertDontSee('Narrow in the');
        $page = $this->get($this->url(['film0', 'film1', 'wood0']));
        $page->assertSeeTextInOrder(['the 7 most like 3 examples', 'Film', 'stretch film'])
            ->assertSeeTextInOrder(['Examples', 'Film0', 'Film1', 'Wood0', 'Wood0', 'stands apart from the others']);
        self::assertEqualsCanonicalizing(
            ['film2', 'film3', 'film4'], array_slice($this->found(['film0', 'film1']), 0, 3),
        );
        $page->assertSee(e($this->url(['film0', 'film1'])), false);
        $this->get($this->url(['film0', 'film1'], ['wood2'], 'wood2'))
            ->assertSeeTextInOrder(['Not like', 'Wood2'])->assertSeeText('than before this step');
        self::assertNotContains('wood2', $this->found(['film0', 'film1'], ['wood2']));
        $text = fn (array $counter): float => AlikeTo::from(
            [(string) $this->ids['film0']], $counter,
        )->among([$this->ids['wood2']])[0]->text;
        self::assertGreaterThan($text([(string) $this->ids['wood1']]), $text([]), 'it speaks of doors, too');
        KeepOut::query()->create(['type' => 'domain', 'value' => 'film2.example', 'reason' => 'asked']);
        (new Standings)->all();
        $this->get($this->url(['film0', 'film1']))->assertSeeText('1 is like them and kept out, so not shown.')
            ->assertDontSeeText('Film2');
        $this->get(route('alike', ['e' => '999999']))->assertSeeText('None of the examples is there any more.');
        $this->get(route('alike', ['e' => 'x,<b>', 'x' => ['a' => ['b']]]))
            ->assertSeeText('Name at least one example.');
    }

    public function test_whether_examples_are_enough_is_told_beside_what_is_usual(): void
    {
        $this->get($this->url(['film0']))->assertSeeText('One example alone says little');
        $this->get($this->url(['film0', 'film1', 'film2', 'film3']))
            ->assertSeeText('The examples speak of the same; that is enough.');
        $this->get($this->url(['film0', 'wood1', 'glass0']))
            ->assertSeeText('The examples speak of different things.');
        self::assertGreaterThan(0.0, Base::usual());
        self::assertLessThan(.5, Base::usual());
        Account::query()->delete();
        self::assertSame(0.0, Base::usual());
    }

    public function test_examples_are_typed_or_pasted(): void
    {
        Http::fake(['*' => fn () => Http::response('', 404)]);
        $this->post(route('alike.add'), ['domains' => "film0.example\nhttps://www.film1.example/about"])
            ->assertRedirect($this->url(['film0', 'film1'], [], 'film1'));
        $this->post(route('alike.add'), ['domains' => 'nobody.example', 'e' => (string) $this->ids['film0']])
            ->assertSessionHasErrors(['domains' => 'nobody.example is not in the base, and their site says nothing; '
                .'paste how they describe themselves instead.']);
        $this->post(route('alike.add'), [])->assertSessionHasErrors('domains');
        $this->post(route('alike.add'), [
            'domains' => 'wood0.example', 'e' => (string) $this->ids['film0'], 'as' => 'counter',
        ])->assertRedirect($this->url(['film0'], ['wood0'], 'wood0'));
        // Somebody who is not in the base, by their own words.
        $to = $this->post(route('alike.add'), ['text' => 'We press veneer and chipboard.'])->headers->get('Location');
        $this->get((string) $to)->assertSeeTextInOrder(['Wood', 'Examples', 'a pasted text']);
        parse_str((string) parse_url((string) $to, PHP_URL_QUERY), $query);
        $results = AlikeTo::from([(string) $query['e']], [], 3)->ids();
        self::assertEqualsCanonicalizing(
            [$this->ids['wood0'], $this->ids['wood1'], $this->ids['wood2']], $results,
        );
    }

    public function test_whoever_is_not_in_the_base_is_read_on_their_own_site(): void
    {
        config(['luftig.standins' => ['127.0.0.1:9']]);
        Feed::factory()->create(['format' => 'site-pages', 'address' => 'http://127.0.0.1:9/sites/{domain}/']);
        Http::fake([
            '*/robots.txt' => fn () => Http::response('', 404),
            '*/sites/new.example/' => fn () => Http::response(
                '<html><body><h1>New</h1><p>Chipboard and veneer.</p><a href="about/">About us</a></body></html>',
            ),
            '*/sites/new.example/about/' => fn () => Http::response('<html><body>Doors of chipboard</body></html>'),
            '*/sites/shut.example/' => fn () => Http::response('', 500),
            '*/sites/empty.example/' => fn () => Http::response('<html><body><script>x</script></body></html>'),
        ]);
        $to = (string) $this->post(route('alike.add'), ['domains' => 'https://www.New.example'])
            ->assertSessionHasNoErrors()->headers->get('Location');
        $this->get($to)->assertSeeTextInOrder(['Wood', 'Examples', 'new.example']);
        parse_str((string) parse_url($to, PHP_URL_QUERY), $query);
        self::assertEqualsCanonicalizing(
            [$this->ids['wood0'], $this->ids['wood1'], $this->ids['wood2']],
            AlikeTo::from([(string) $query['e']], [], 3)->ids(),
        );
        foreach (['shut.example', 'empty.example', 'no domain', '127.0.0.1'] as $domain) {
            $this->post(route('alike.add'), ['domains' => $domain])->assertSessionHasErrors('domains');
        }
        $this->post(route('alike.add'), ['domains' => 'new.example shut.example'])->assertSessionHasErrors([
            'domains' => 'shut.example is not in the base, and their site says nothing; paste how they describe '
                .'themselves instead.',
        ]);
    }

    public function test_it_is_a_condition_that_every_other_one_narrows(): void
    {
        $step = ['f' => 'alike', 'v' => 'film0.example, film1.example', 'n' => '3'];
        $search = Search::from($this->offer, ['on' => 'accounts', 'c' => [$step]]);
        self::assertEqualsCanonicalizing(
            [$this->ids['film2'], $this->ids['film3'], $this->ids['film4']], $search->ids(10),
        );
        self::assertSame('the 3 most like Film0, Film1', $search->steps[0]->says());
        $both = Search::from($this->offer, ['on' => 'accounts', 'c' => [
            $step + ['q2' => 'wood0.example'], ['f' => 'words', 'q' => 'silage'],
        ]]);
        self::assertSame('the 3 most like Film0, Film1, not like Wood0', $both->steps[0]->says());
        self::assertEqualsCanonicalizing([$this->ids['film3'], $this->ids['film4']], $both->ids(10));
        self::assertSame([3, 2], array_column($both->staircase(), 'after'));
        $without = Search::from($this->offer, ['on' => 'accounts', 'c' => [['x' => '1'] + $step]]);
        self::assertSame(count(self::SAY) - 3, $without->total());
        foreach ([
            ['v' => 'nobody.example'] + $step, ['v' => ''] + $step, ['n' => '0'] + $step, ['n' => '99999'] + $step,
        ] as $bad) {
            $this->get(route('finder', ['on' => 'accounts', 'c' => [$bad]]))->assertOk()
                ->assertSee('text-danger', false);
        }
        // What is known of them changes, and so does who is like them.
        Account::query()->whereKey($this->ids['glass0'])->update([
            'description' => self::SAY['film0'], 'updated_at' => now()->addMinute(),
        ]);
        self::assertContains(
            $this->ids['glass0'], Search::from($this->offer, ['on' => 'accounts', 'c' => [$step]])->ids(10),
        );
    }

    public function test_typical_phrases_are_joined_into_one_search(): void
    {
        $this->get(route('alike.phrases', ['e' => $this->tokens(['film0', 'film1', 'film2', 'film3'])]))
            ->assertSeeText('frequent in 4 accounts and rare in the others')
            ->assertSeeTextInOrder(['pallet wrap', '4 of 4']);
        $this->get(route('alike.phrases', ['e' => $this->tokens(['film0', 'glass0'])]))
            ->assertSeeText('No phrase stands in two of them');
        $this->post(route('alike.search'), [
            'phrases' => ['pallet wrap', 'silage wrap'], 'with' => 'stretch film', 'without' => 'reels',
        ])->assertRedirect(route('finder', ['on' => 'accounts', 'c' => [
            ['f' => 'words', 'q' => '("pallet wrap" OR "silage wrap") AND "stretch film" NOT "reels"'],
            ['f' => 'kept_out', 'x' => '1'],
        ]]));
        self::assertEqualsCanonicalizing(
            [$this->ids['film0'], $this->ids['film3'], $this->ids['film4']],
            Search::from($this->offer, ['on' => 'accounts', 'c' => [
                ['f' => 'words', 'q' => '("pallet wrap" OR "silage wrap") AND "stretch film" NOT "reels"'],
            ]])->ids(10),
        );
        $this->post(route('alike.search'), [])->assertSessionHasErrors('phrases');
    }

    public function test_a_list_is_held_against_the_best_customers(): void
    {
        foreach (['film0' => true, 'film1' => true, 'glass0' => false] as $name => $best) {
            CustomerPeriod::query()->create([
                'account_id' => $this->ids[$name], 'since' => '2024-01-01', 'best' => $best,
            ]);
        }
        CustomerPeriod::query()->create([
            'account_id' => $this->ids['wood0'], 'since' => '2020-01-01', 'until' => '2022-01-01', 'best' => true,
        ]);
        self::assertEqualsCanonicalizing([$this->ids['film0'], $this->ids['film1']], Proposed::customers());
        $this->get(route('alike'))->assertSeeText('Begin with 2 best customers')->assertDontSeeText('who answered');
        $list = $this->listOf(['film2', 'film3', 'wood1', 'glass1', 'wood2']);
        $this->get(route('lists.show', $list))->assertSeeText('How alike');
        $this->get(route('alike', ['list' => $list->id, 'e' => implode(',', Proposed::customers())]))
            ->assertSeeText('how like the examples those of “Some” are')
            ->assertSeeTextInOrder(['In the mean', 'its first fifth', 'its last'])
            ->assertSeeTextInOrder(['Film', 'Wood1']);
    }

    public function test_those_who_answered_are_a_set_that_a_lead_may_begin_with(): void
    {
        Approach::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $this->ids['glass1'], 'user_id' => $this->rep->id,
            'result' => 'meeting',
        ]);
        self::assertSame([$this->ids['glass1']], Proposed::answered($this->offer));
        $this->get(route('alike'))->assertDontSeeText('who answered last')->assertDontSeeText('Let everybody');
        $this->patch(route('alike.answers'), ['agreed' => 1])->assertForbidden();
        $this->actingAs($this->lead)->get(route('alike'))->assertSeeText('the 1 who answered last')
            ->assertSeeText('Only leads begin with those who answered.');
        $undo = $this->patch(route('alike.answers'), ['agreed' => 1])->getSession()->get('undo');
        $this->get(route('alike'))->assertSeeText('Everybody may begin with those who answered; Ylva agreed');
        $this->actingAs($this->rep)->get(route('alike'))->assertSeeText('the 1 who answered last');
        $this->actingAs($this->lead)->patch($undo['to'], $undo['fields']);
        $this->actingAs($this->rep)->get(route('alike'))->assertDontSeeText('who answered last');
    }

    public function test_a_phrase_becomes_a_criterion_or_a_role_of_interest_and_is_taken_out_again(): void
    {
        $to = route('phrases.rules', $this->offer);
        $form = ['phrases' => ['pallet wrap', 'silage wrap'], 'without' => 'reels', 'into' => 'criterion'];
        $this->get(route('alike.phrases', ['e' => $this->tokens(['film0', 'film1', 'film2', 'film3'])]))
            ->assertDontSeeText('Or let them count in the rules');
        $this->post($to, $form)->assertForbidden();
        $before = $this->offer->rules->criteria;
        $this->actingAs($this->lead);
        $this->get(route('alike.phrases', ['e' => $this->tokens(['film0', 'film1', 'film2', 'film3'])]))
            ->assertSeeText('Or let them count in the rules');
        $this->post($to, ['into' => 'criterion'])->assertSessionHasErrors(['phrases' => 'Tick at least one phrase.']);
        $this->post($to, ['phrases' => ['!?'], 'into' => 'criterion'])->assertSessionHasErrors('phrases');
        self::assertSame(1, RuleSet::query()->count(), 'what cannot be searched for becomes no rule');
        $undo = $this->post($to, $form)->assertSessionHasNoErrors()->getSession()->get('undo');
        $rules = RuleSet::query()->latest('version')->firstOrFail();
        self::assertSame(2, $rules->version);
        self::assertEquals([
            'name' => 'pallet wrap and 1 more', 'field' => 'text', 'mode' => 'prefer', 'weight' => 1,
            'query' => '("pallet wrap" OR "silage wrap") NOT "reels"',
        ], $rules->criteria[count($before)]);
        $this->get(route('rules.edit', $this->offer))->assertSee('pallet wrap and 1 more');
        $this->post($to, $form)->assertSessionHasErrors('phrases');
        // Film0 says it and Film1 too, but that one of reels.
        (new Standings)->all();
        $fit = fn (string $name): float => (float) $this->standing("$name.example")->fit;
        self::assertGreaterThan($fit('film1'), $fit('film0'));
        $this->post($undo['to'])->assertSessionHasNoErrors();
        self::assertSame($before, RuleSet::query()->latest('version')->firstOrFail()->criteria);
        $this->post($undo['to'])->assertSessionHasErrors('rules');

        $this->post($to, ['phrases' => ['pallet wrap'], 'into' => 'interest'])->assertSessionHasNoErrors();
        $role = RuleSet::query()->latest('version')->firstOrFail()->roles_of_interest[0];
        self::assertSame(
            ['pallet wrap', '"pallet wrap"', '"pallet wrap"'],
            [$role['name'], $role['title_query'], $role['text_query']],
        );
        $this->get(route('rules.edit', $this->offer))->assertOk();
    }

    public function test_what_those_that_are_not_meant_share_is_offered_as_an_exclusion(): void
    {
        $page = $this->get($this->url(['film0', 'film1'], ['wood0', 'wood1']));
        $page->assertSeeText('What they share, and the examples do not')->assertSeeText('(2 of 2)');
        $page->assertSee(e(route('finder', ['on' => 'accounts', 'c' => [
            [
                'f' => 'alike', 'v' => $this->tokens(['film0', 'film1']), 'n' => '200',
                'q2' => $this->tokens(['wood0', 'wood1']),
            ],
            ['f' => 'kept_out', 'x' => '1'], ['f' => 'industry', 'v' => '1621', 'x' => '1'],
        ]])), false);
    }

    public function test_of_a_large_base_those_that_share_phrases_are_compared(): void
    {
        $examples = [(string) $this->ids['film0'], (string) $this->ids['film1']];
        $all = AlikeTo::from($examples, [], 3)->results();
        config(['luftig.alike_all' => 2]);
        self::assertEquals($all, AlikeTo::from($examples, [], 3)->results(), 'all, until they are gathered');
        GatherPhrases::dispatchSync();
        $some = AlikeTo::from($examples, [], 3)->results();
        self::assertEquals($all, $some);
        // One who came in since is found from the next gathering on.
        $new = Account::factory()->create(['description' => self::SAY['film0'], 'headcount' => 100]);
        self::assertNotContains($new->id, array_map(fn (Alike $one): int => (int) $one->id, AlikeTo::from(
            $examples, [], 5,
        )->results()));
        GatherPhrases::dispatchSync();
        self::assertContains($new->id, AlikeTo::from($examples, [], 5)->ids());
        self::assertNotContains($this->ids['glass0'], AlikeTo::from($examples, [], 9)->ids(), 'it shares no phrase');
    }

    public function test_a_name_says_all_that_a_set_needs(): void
    {
        $to = AlikeTo::from(['12', '7', '12', 'x'], ['9', '7'], 40);
        self::assertSame('account:alike-12.7_9_40', $to->named());
        self::assertEquals($to, AlikeTo::fromName('12.7_9_40'));
        self::assertEquals(AlikeTo::from(['12']), AlikeTo::fromName('12'));
        foreach ([[[], [], 5], [['1'], [], 0], [array_map(strval(...), range(1, 61)), [], 5]] as $bad) {
            try {
                AlikeTo::from(...$bad);
                self::fail('This is taken.');
            } catch (Mistake $mistake) {
                self::assertNotSame('', $mistake->getMessage());
            }
        }
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $counter
     */
    private function url(array $names, array $counter = [], string $last = ''): string
    {
        return route('alike', array_filter([
            'e' => $this->tokens($names), 'x' => $this->tokens($counter), 'last' => (string) ($this->ids[$last] ?? ''),
        ]));
    }

    /** @param  list<string>  $names */
    private function tokens(array $names): string
    {
        return implode(',', array_map(fn (string $name): int => $this->ids[$name], $names));
    }

    /**
     * @param  list<string>  $examples
     * @param  list<string>  $counter
     * @return list<string>
     */
    private function found(array $examples, array $counter = []): array
    {
        $token = fn (string $name): string => (string) $this->ids[$name];
        $names = array_flip($this->ids);

        return array_map(
            fn (int $id): string => $names[$id],
            AlikeTo::from(array_map($token, $examples), array_map($token, $counter), 4)->ids(),
        );
    }

    /** @param  list<string>  $names */
    private function listOf(array $names): KeptList
    {
        $list = KeepResults::asList($this->offer, Search::from($this->offer, ['on' => 'accounts', 'c' => [
            ['f' => 'domain', 'v' => implode(',', array_map(fn (string $name): string => "$name.example", $names))],
        ]]), 'Some', $this->rep);
        self::assertSame(count($names), $list->members()->count());

        return $list;
    }
}
