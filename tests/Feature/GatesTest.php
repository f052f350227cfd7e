<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Http\Middleware\PersonByToken;
use App\Lists\KeepResults;
use App\Lists\RunWatch;
use App\Models\Account;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Note;
use App\Models\Rhythm;
use App\Models\Role;
use App\Models\TitleLesson;
use App\Models\User;
use App\Models\Watch;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route as Routes;
use Luftig\Core\Signal\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Finder\Finder;
use Tests\TestCase;

/** Who may do what: every door names its gate, and the gates hold. */
final class GatesTest extends TestCase
{
    /** What everybody who is signed in does for themselves. */
    private const ONES_OWN = [
        'sign-out', 'offer.choose', 'go', 'reads', 'today', 'today.narrow', 'pace.edit', 'pace.update',
        'pace.address', 'pace.end-address', 'second.edit', 'second.store', 'second.destroy', 'sessions.destroy',
        'tokens.index', 'tokens.store', 'tokens.destroy', 'password.strength', 'password.update', 'alerts.digest',
        'alerts.address', 'alerts.end-address', 'alerts.just-in', 'alerts.seen',
    ];

    public function test_every_door_names_its_gate_and_every_gate_is_one(): void
    {
        $doors = array_filter(
            Routes::getRoutes()->getRoutes(),
            fn (Route $route): bool => array_intersect(['auth', PersonByToken::class], $route->gatherMiddleware())
                !== [],
        );
        self::assertGreaterThan(90, count($doors));
        foreach ($doors as $door) {
            $gates = array_values(array_filter(
                array_map(strval(...), $door->gatherMiddleware()),
                fn (string $one): bool => str_starts_with($one, 'can:'),
            ));
            if (in_array($door->getName(), self::ONES_OWN, true)) {
                self::assertSame([], $gates, "{$door->getName()} is everybody's own.");

                continue;
            }
            self::assertCount(1, $gates, "{$door->getName()} has one gate.");
            [$ability, $of] = explode(',', substr($gates[0], 4));
            $policy = Gate::getPolicyFor(class_exists($of) ? $of : $this->modelOf($door, $of));
            self::assertNotNull($policy, "{$door->getName()}: $of has a policy.");
            self::assertTrue(method_exists($policy, $ability), $policy::class." says who may $ability.");
        }
    }

    public function test_every_model_that_is_shown_or_changed_has_a_policy(): void
    {
        // Parts of a record that is asked itself, and what only the machine writes.
        $parts = [
            'AccountIndustry', 'Attribute', 'Channel', 'City', 'CustomerPeriod', 'Erasure', 'EventDelivery',
            'IntakeCell',
            'IntakeRejection', 'Model', 'Place', 'Submission', 'Technology',
        ];
        foreach (Finder::create()->files()->in(app_path('Models')) as $file) {
            $model = 'App\\Models\\'.$file->getBasename('.php');
            if (is_subclass_of($model, Model::class) && ! in_array(class_basename($model), $parts, true)) {
                self::assertNotNull(Gate::getPolicyFor($model), $model);
            }
        }
    }

    /** @return iterable<string, array{string, string, callable(self): array<string, mixed>}> */
    public static function closed(): iterable
    {
        $list = fn (self $test): array => ['list' => $test->list()->id];
        $watch = fn (self $test): array => ['watch' => $test->watch()->id];
        $offer = fn (self $test): array => ['offer' => $test->offer->id];
        $none = fn (self $test): array => [];
        yield 'removing a list' => ['delete', 'lists.destroy', $list];
        yield 'judging a list' => ['post', 'lists.judge', $list];
        yield 'looking at its sample' => ['get', 'lists.sample', $list];
        yield 'stepping through it' => ['get', 'lists.steps', $list];
        yield 'deciding of its members' => ['post', 'lists.steps.decide', $list];
        yield 'letting a held list go' => ['delete', 'lists.release', $list];
        yield 'ending a watch' => ['delete', 'watches.destroy', $watch];
        yield 'reading another’s newcomers' => ['post', 'watches.read', $watch];
        yield 'removing a note' => ['delete', 'notes.destroy', fn (self $test): array => ['note' => $test->note()->id]];
        yield 'ending a keep-out' => ['delete', 'keep-out.destroy', fn (self $test): array => [
            'keepOut' => KeepOut::factory()->create([
                'type' => 'domain', 'value' => 'x.example', 'reason' => 'x', 'user_id' => $test->lead->id,
            ])->id,
        ]];
        yield 'erasing somebody' => [
            'delete', 'contacts.erase', fn (self $test): array => ['contact' => $test->ida()->id],
        ];
        yield 'teaching a title' => ['post', 'titles.store', $none];
        yield 'forgetting a title' => ['delete', 'titles.destroy', fn (self $test): array => [
            'lesson' => TitleLesson::factory()->create(['title' => 'X', 'folded' => 'x', 'reading' => 0])->id,
        ]];
        yield 'the rules' => ['get', 'rules.edit', $offer];
        yield 'new rules' => ['post', 'rules.store', $offer];
        yield 'trying rules' => ['post', 'rules.preview', $offer];
        yield 'a new offer' => ['post', 'offers.store', $none];
        yield 'changing an offer' => ['patch', 'offers.update', $offer];
        yield 'the team' => ['get', 'team.index', $none];
        yield 'a new teammate' => ['post', 'team.store', $none];
        yield 'changing a teammate' => ['patch', 'team.update', fn (self $test): array => ['user' => $test->lead->id]];
    }

    /** @param  callable(self): array<string, mixed>  $parameters */
    #[DataProvider('closed')]
    public function test_a_rep_is_turned_away(string $method, string $name, callable $parameters): void
    {
        $address = route($name, $parameters($this));
        $before = [KeptList::query()->count(), Watch::query()->count(), Note::query()->count(), User::query()->count()];
        $this->actingAs($this->rep)->{$method}($address)->assertForbidden();
        self::assertSame(
            $before,
            [KeptList::query()->count(), Watch::query()->count(), Note::query()->count(), User::query()->count()],
        );
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function beyondNumbers(): array
    {
        $criterion = ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => '1', 'low' => '1'];
        $place = ['name' => 'near', 'field' => 'place', 'mode' => 'must', 'value' => '57.7, 11.9', 'low' => '1e309'];

        return [
            'the weight of a criterion' => [['criteria' => [['weight' => '1e309'] + $criterion]], 'number'],
            'a bound' => [['criteria' => [['low' => '1e309'] + $criterion]], 'number'],
            'a radius' => [['criteria' => [$place]], 'number'],
            'the weight of a role' => [
                ['buyer_roles' => [['name' => 'M', 'functions' => ['maintenance'], 'weight' => '1e309']]],
                'number',
            ],
        ];
    }

    /** @param  array<string, mixed>  $form */
    #[DataProvider('beyondNumbers')]
    public function test_rules_beyond_any_number_are_refused_in_a_sentence(array $form, string $says): void
    {
        $kinds = array_map(fn ($rule): array => [
            'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
            'counts' => $rule->counts->value,
        ], Catalogue::standard()->rules);
        $form += ['version' => $this->offer->rules->version, 'kinds' => $kinds, 'criteria' => []];
        $this->actingAs($this->lead)->post(route('rules.store', $this->offer), $form)->assertRedirect();
        self::assertStringContainsString($says, implode(' ', session('errors')?->all() ?? []));
    }

    public function test_a_list_is_removed_and_brought_back_by_its_owner_or_a_lead_and_by_nobody_else(): void
    {
        $list = $this->list();
        $this->actingAs($this->rep)->get(route('lists.show', $list))->assertOk()->assertDontSee('Step through');
        $this->delete(route('lists.destroy', $list))->assertForbidden()
            ->assertSeeText('This is a list of Anton. Nothing was changed; agree with them, or ask a lead.');
        $this->actingAs($this->anton())->get(route('lists.show', $list))->assertSee('Step through');
        $this->delete(route('lists.destroy', $list))->assertRedirect(route('lists.index'));
        $this->actingAs($this->rep)->post(route('lists.restore', $list->id))->assertForbidden();
        self::assertSoftDeleted($list);
        $this->actingAs($this->lead)->post(route('lists.restore', $list->id))->assertRedirect();
        self::assertNotSoftDeleted($list);
    }

    /** @return class-string<Model> */
    private function modelOf(Route $door, string $parameter): string
    {
        foreach ($door->signatureParameters(['subClass' => Model::class]) as $argument) {
            if ($argument->getName() === $parameter) {
                return (string) $argument->getType();
            }
        }
        self::fail("{$door->getName()} takes no $parameter.");
    }

    private function anton(): User
    {
        return User::query()->where('name', 'Anton')->first() ?? $this->person('Anton', Role::Rep);
    }

    private function list(): KeptList
    {
        $search = Search::from($this->offer, ['on' => 'accounts']);

        return KeepResults::asList($this->offer, $search, 'His', $this->anton());
    }

    private function watch(): Watch
    {
        $search = Search::from($this->offer, ['on' => 'accounts']);

        return RunWatch::begin($this->offer, $search, $this->anton(), [
            'name' => 'His', 'rhythm' => Rhythm::Daily, 'weekday' => 1, 'hour' => 6, 'time_zone' => 'UTC',
            'mailed' => false,
        ]);
    }

    private function note(): Note
    {
        return Note::factory()->create([
            'account_id' => $this->ida()->account_id, 'user_id' => $this->anton()->id, 'text' => 'Call in spring',
        ]);
    }

    private function ida(): Contact
    {
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Tunhede\n");

        return Contact::factory()->create([
            'account_id' => Account::query()->value('id'), 'first_name' => 'Ida', 'last_name' => 'Lie',
        ]);
    }
}
