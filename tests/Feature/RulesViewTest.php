<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Contact;
use App\Models\IndustryLabel;
use App\Models\IntakeKind;
use App\Models\Place;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\TitleLesson;
use App\Standings\RuleBook;
use App\View\Intake\DoubtfulPair;
use App\View\Intake\IntakesPage;
use App\View\Rules\CriterionRow;
use App\View\Rules\Moves;
use App\View\Rules\RoleMatches;
use App\View\Rules\RoleRow;
use App\View\Rules\RulesPage;
use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the form of rules, and what waits for a decision, say. */
final class RulesViewTest extends TestCase
{
    /** @return array<string, array{array<string, mixed>, array<string, mixed>}> stored criterion, and its fields */
    public static function criteria(): array
    {
        return [
            'a range' => [
                ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2, 'range' => [40, null]],
                ['low' => '40', 'high' => '', 'weight' => '2', 'test' => 'range', 'places' => [], 'chosen' => []],
            ],
            'values' => [
                ['name' => 'makes', 'field' => 'industries', 'mode' => 'must', 'any' => ['C', '2310', '00']],
                [
                    'weight' => '', 'test' => 'any', 'places' => [],
                    'chosen' => [
                        'C' => 'manufacturing (C)', '2310' => 'glass and glass products (2310)', '00' => '00',
                    ],
                ],
            ],
            'countries' => [
                ['name' => 'land', 'field' => 'country', 'mode' => 'must', 'any' => ['DK', 'SE'], 'any_site' => true],
                [
                    'test' => 'any', 'where' => 'any', 'chosen' => ['DK' => 'Denmark', 'SE' => 'Sweden'],
                    'places' => ['' => 'the headquarters', 'any' => 'any site'],
                ],
            ],
            'a fact of their own' => [
                ['name' => 'shifts', 'field' => 'fact', 'fact' => 'Shifts', 'mode' => 'must', 'any' => ['*', 'three']],
                ['test' => 'any', 'fact' => 'Shifts', 'chosen' => ['*' => 'whatever is known', 'three' => 'three']],
            ],
            'a number of their own' => [
                ['name' => 'seats', 'field' => 'number', 'fact' => 'Chairs', 'mode' => 'must', 'range' => [4, .5]],
                ['test' => 'range', 'fact' => 'Chairs', 'low' => '4', 'high' => '0.5'],
            ],
            'a radius' => [
                [
                    'name' => 'near', 'field' => 'place', 'mode' => 'must_not',
                    'within' => ['km' => 700, 'of' => [57.7, 11.97]],
                ],
                ['value' => '57.7, 11.97', 'low' => '700', 'test' => 'within', 'where' => ''],
            ],
            'words' => [
                ['name' => 'says', 'field' => 'text', 'mode' => 'prefer', 'weight' => .5, 'query' => '"three shifts"'],
                ['value' => '"three shifts"', 'test' => 'query', 'weight' => '0.5'],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $stored
     * @param  array<string, mixed>  $fields
     */
    #[DataProvider('criteria')]
    public function test_a_stored_criterion_stands_in_its_fields(array $stored, array $fields): void
    {
        $row = CriterionRow::stored('3', $stored);
        self::assertSame([$stored['name'], $stored['mode'], $stored['field']], [
            $row->given('name'), $row->mode(), $row->field()->value,
        ]);
        self::assertSame('criteria[3][value]', $row->name('value'));
        foreach ($fields as $field => $value) {
            self::assertSame($value, match ($field) {
                'test' => $row->test(),
                'places' => $row->places(),
                'chosen' => $row->chosen(),
                default => $row->given($field),
            }, $field);
        }
    }

    public function test_a_row_that_was_typed_wrongly_is_shown_and_an_empty_one_asks_for_heads(): void
    {
        $typed = CriterionRow::typed('0', ['field' => 'nonsense', 'low' => ['x'], 'any' => ['DK', ['x']]]);
        self::assertSame([CriterionField::Headcount, '', 'prefer', ['DK' => 'DK']], [
            $typed->field(), $typed->given('low'), $typed->mode(), $typed->chosen(),
        ]);
        $blank = CriterionRow::blank('NEW', CriterionField::Place);
        self::assertSame(['within', '', 'criteria[NEW][name]'], [
            $blank->test(), $blank->given('name'), $blank->name('name'),
        ]);
    }

    public function test_the_page_says_which_rules_and_what_differs_from_the_standard(): void
    {
        $this->offer->ruleSets()->create([
            'version' => 2, 'criteria' => [], 'author_id' => $this->lead->id,
            'kinds' => ['news' => ['weight' => .1, 'counts' => 'against']],
            'buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance', 'supply_chain'],
                'neighbours' => ['operations'], 'weight' => .5, 'variants' => ['DK' => 'vedligehold']]],
        ]);
        $page = new RulesPage($this->offer->refresh());
        self::assertSame(['Leak survey, version 2, by Ylva within the hour', false, 2, []], [
            $page->about(), $page->isOld(), $page->builtOn(), $page->criteria(),
        ]);
        $kinds = array_column(array_map(
            fn (array $kind): array => [$kind['kind']->value, $kind], $page->kinds(),
        ), 1, 0);
        self::assertSame(
            'The standard: weight 0.25, rises 0, holds 3, half-life 14, counts for',
            $kinds['news']['changed'],
        );
        self::assertSame(['0.1', 'against', null], [
            $kinds['news']['numbers']['weight']['value'], $kinds['news']['counts'], $kinds['funding']['changed'],
        ]);
        self::assertSame('half-life of funding', $kinds['funding']['numbers']['half_life']['label']);
        $role = $page->buyerRoles()[0];
        self::assertSame(
            ['Maintenance', '0.5', 'DK: vedligehold', ['maintenance', 'supply_chain'], 'buyer_roles[0][name]'],
            [
                $role->given('name'), $role->given('weight', '1'), $role->variants(),
                $role->chosen('functions'), $role->name('name'),
            ],
        );
        self::assertSame(
            'maintenance, supply chain; neighbours: operations; titles in DK',
            $role->functions('none chosen'),
        );
        self::assertSame('none chosen', (new RoleRow('buyer_roles', 'NEW'))->functions('none chosen'));
        self::assertSame('1', (new RoleRow('buyer_roles', 'NEW'))->given('weight', '1'));

        $old = new RulesPage($this->offer, RuleSet::query()->where('version', 1)->sole());
        self::assertSame([true, 'Leak survey, version 1', 2, 3], [
            $old->isOld(), $old->about(), $old->builtOn(), count($old->criteria()),
        ]);
        self::assertCount(2, $old->versions());
    }

    public function test_titles_that_nobody_knows_are_counted_and_what_was_taught_is_told(): void
    {
        $page = new RulesPage($this->offer);
        self::assertSame('All titles are read.', $page->unread());
        Contact::factory()->create(['title' => 'Zyx', 'reading' => 0]);
        self::assertStringStartsWith('1 contact has a title that no dictionary knows.', $page->unread());
        Contact::factory()->count(2)->create(['title' => 'Abx', 'reading' => 0]);
        self::assertStringStartsWith('3 contacts have a title', $page->unread());
        self::assertSame(['Abx' => '2', 'Zyx' => '1'], $page->titles());
        TitleLesson::factory()->create(['title' => 'Zyx', 'user_id' => $this->lead->id]);
        TitleLesson::factory()->create(['title' => 'Abx', 'folded' => 'abx']);
        self::assertSame([['Abx', 'somebody'], ['Zyx', 'Ylva']], array_map(
            fn (array $one): array => [$one['lesson']->title, $one['by']],
            $page->lessons(),
        ));
    }

    public function test_whom_a_role_finds_whom_it_misses_and_why(): void
    {
        $account = Account::factory()->create(['headcount' => 420]);
        Place::factory()->create(['account_id' => $account->id]);
        $titles = [
            'Head of Maintenance' => 2, 'Maintenance Planner' => 1, 'Assistant to the Head of Maintenance' => 1,
            'Former Head of Maintenance' => 1, 'Plant Manager' => 1, 'Head of Finance' => 1, 'Maintenoid' => 1,
        ];
        foreach ($titles as $title => $count) {
            Contact::factory()->count($count)->create([
                'account_id' => $account->id, 'title' => $title,
                'reading' => TitleReader::standard()->read($title, 'DK', 420)->packed(),
            ]);
        }
        $found = RoleMatches::of(new BuyerRole(
            'Maintenance',
            BusinessFunction::set([BusinessFunction::Maintenance]),
            BusinessFunction::set([BusinessFunction::Operations]),
            null,
            Query::parse('planner'),
        ));
        self::assertSame([2, [['Head of Maintenance', 2]], false], [$found->found, $found->matches, $found->partly]);
        self::assertEqualsCanonicalizing([
            ['Maintenance Planner', 1, 'excluded'], ['Former Head of Maintenance', 1, 'former'],
            ['Plant Manager', 1, 'counts .40'],
        ], $found->misses);
        self::assertSame([['Maintenoid', 1]], $found->suggestions, 'a beginning as in titles that match');
    }

    public function test_moves_are_the_biggest_and_counted_by_state(): void
    {
        $accounts = Account::factory()->count(14)->create();
        $rows = [];
        foreach ($accounts as $i => $account) {
            Standing::factory()->create([
                'account_id' => $account->id, 'offer_id' => $this->offer->id, 'priority' => 50.0,
            ]);
            $rows[$account->id] = ['state' => 'ranked', 'priority' => 50.0 + $i];
        }
        $rows[$accounts[1]->id] = ['state' => 'ranked', 'priority' => 50.04];
        $rows[$accounts[2]->id] = ['state' => 'out', 'priority' => null];
        $moves = Moves::of($this->offer, $rows);
        self::assertSame([12, 14, ['ranked' => 13, 'out' => 1]], [$moves->moved, $moves->of, $moves->states]);
        self::assertCount(10, $moves->biggest);
        self::assertSame(
            [$accounts[2]->id, 50.0, null, StandingState::Ranked, StandingState::Out],
            [
                $moves->biggest[0]['id'], $moves->biggest[0]['before'], $moves->biggest[0]['after'],
                $moves->biggest[0]['was'], $moves->biggest[0]['becomes'],
            ],
        );
        self::assertSame([$accounts[13]->name, 63.0], [$moves->biggest[1]['name'], $moves->biggest[1]['after']]);
        $new = Account::factory()->create();
        self::assertNull(Moves::of($this->offer, [$new->id => ['state' => 'waiting', 'priority' => null]])
            ->biggest[0]['was']);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function unusable(): array
    {
        $size = ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer'];

        return [
            'a criterion without a test' => [['criteria' => [$size]], 'exactly one of range, any, within and query'],
            'two tests' => [
                ['criteria' => [$size + ['range' => [1, 2], 'any' => ['x']]]], 'exactly one of range, any',
            ],
            'a test that does not suit' => [
                ['criteria' => [['any' => ['x']] + $size]], 'cannot be tested with “any”',
            ],
            'a range the wrong way' => [['criteria' => [$size + ['range' => [2, 1]]]], 'lower'],
            'a field nobody knows' => [
                ['criteria' => [$size + ['range' => [1, 2], 'colour' => 'red']]], 'There is no field “colour” here.',
            ],
            'a site of heads' => [
                ['criteria' => [$size + ['range' => [1, 2], 'any_site' => true]]], 'nothing to do with sites',
            ],
            'a fact without a name' => [
                ['criteria' => [
                    ['name' => 'x', 'field' => 'fact', 'mode' => 'must', 'any' => ['three'], 'fact' => ''],
                ]],
                'Say which fact of your own is meant.',
            ],
            'a fact of heads' => [
                ['criteria' => [$size + ['range' => [1, 2], 'fact' => 'Shifts']]], 'nothing to do with facts',
            ],
            'a role without a function' => [
                ['buyer_roles' => [['name' => 'X', 'functions' => ['flying'], 'neighbours' => []]]], 'This is one of:',
            ],
            'a query that is none' => [
                ['roles_of_interest' => [['name' => 'X', 'title_query' => '(', 'functions' => []]]],
                'A parenthesis opens here and is not closed.',
            ],
            'a role of interest without titles' => [
                ['roles_of_interest' => [['name' => 'X', 'title_query' => '', 'functions' => []]]],
                'needs a query that finds its titles',
            ],
            'a kind nobody knows' => [['kinds' => ['rumour' => ['weight' => 1]]], 'A kind is one of:'],
            'a weight that is none' => [['kinds' => ['news' => ['weight' => 'much']]], 'This is a number.'],
        ];
    }

    /** @param  array<string, mixed>  $rules */
    #[DataProvider('unusable')]
    public function test_rules_that_cannot_be_used_say_why(array $rules, string $says): void
    {
        $this->expectException(Mistake::class);
        $this->expectExceptionMessage($says);
        RuleBook::of(new RuleSet($rules + ['criteria' => [], 'kinds' => [], 'offer_id' => $this->offer->id]));
    }

    public function test_what_waits_for_a_decision_is_told_and_what_was_decided_too(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\na.example;Glasverk Ask\nb.example;Glasverk Ask AB\n");
        $page = IntakesPage::of();
        self::assertSame([1, '1 pair', false], [count($page->pairs), $page->open(), $page->isDecided()]);
        self::assertSame(['Mira', 'brought in', ['2', '0', '0', '0', '0']], [
            $page->rows()[0]['by'], $page->rows()[0]['state'], $page->rows()[0]['counts'],
        ]);
        self::assertSame('a.example · 0 contacts', DoubtfulPair::line($page->pairs[0]->first));
        $this->actingAs($this->rep)->patch(
            route('doubles.update', $page->pairs[0]->double), ['decision' => 'separate'],
        )->assertSessionHasNoErrors();
        self::assertSame(['0 pairs', true, 'Glasverk Ask: two, Mira'], [
            IntakesPage::of()->open(), IntakesPage::of()->isDecided(), IntakesPage::of()->decided()[0]['says'],
        ]);
        foreach (range(1, 21) as $i) {
            IndustryLabel::query()->create(['label' => "label $i", 'suggested' => $i === 1 ? '23' : null]);
        }
        $page = IntakesPage::of();
        self::assertSame([20, false, 'The 20 that most accounts have, of 21 that wait.'], [
            count($page->labels()), $page->isDecided(), $page->moreLabels(),
        ]);
        self::assertSame(
            ['23 Other non-metallic mineral products', ''],
            [$page->industry('23'), $page->industry(null)],
        );
        self::assertContains('2310 Glass and glass products', $page->industries());
        IndustryLabel::query()->where('label', 'label 1')->update(['code' => '23']);
        self::assertNull(IntakesPage::of()->moreLabels());
    }
}
