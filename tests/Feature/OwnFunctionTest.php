<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\OwnFunction;
use App\Models\RuleSet;
use App\Standings\Standings;
use App\Support\FunctionNames;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Title;
use Tests\TestCase;

/** A function that a team defines for itself, told by words of titles. */
final class OwnFunctionTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts, "domain;name;headcount\nfjernlund.example;Fjernlund Papir;90\n");
        $this->bring(IntakeKind::Contacts,
            "domain;first name;last name;title\nfjernlund.example;Ida;Lie;Head of Tooling\n"
                ."fjernlund.example;Bo;Rye;Werkzeugbauer\nfjernlund.example;Cato;Dam;Head of Maintenance\n");
    }

    public function test_titles_are_read_with_it_roles_ask_for_it_and_it_is_found(): void
    {
        self::assertSame([false, false, false], $this->tooling());
        $this->add('tooling', 'tooling OR werkzeugbau*')->assertSessionHasNoErrors();
        self::assertSame([true, true, false], $this->tooling());
        self::assertSame('head, tooling', FunctionNames::title(Title::unpacked(
            Contact::query()->where('first_name', 'Ida')->sole()->reading,
        )));
        $this->bring(IntakeKind::Contacts, "domain;name;title\nfjernlund.example;Dag Berg;Tooling Engineer\n");
        $new = Title::unpacked(Contact::query()->where('last_name', 'Berg')->sole()->reading);
        self::assertTrue($new->has(BusinessFunction::Own1) && $new->has(BusinessFunction::Engineering));

        $this->offer->ruleSets()->create(['version' => 2, 'kinds' => [], 'criteria' => [], 'roles_of_interest' => [],
            'buyer_roles' => [['name' => 'Tools', 'functions' => ['own_1'], 'neighbours' => []]]]);
        (new Standings)->all();
        $found = fn (array $step): array => Contact::query()->whereIn('id', Search::from(
            $this->offer->refresh(), ['on' => 'contacts', 'c' => [$step]],
        )->ids())->orderBy('id')->pluck('first_name')->all();
        self::assertSame(['Ida', 'Bo', 'Dag'], $found(['f' => 'function', 'v' => 'own_1']));
        self::assertSame(['Ida', 'Bo', 'Dag'], $found(['f' => 'buyer_role', 'v' => 'Tools']));
        $this->get('/finder?on=contacts&c[0][f]=function&c[0][v]=own_1')->assertSee('tooling');
        $this->get("/rules/{$this->offer->id}")->assertSee('tooling OR werkzeugbau*')
            ->assertSee('value="own_1"', false)->assertDontSee('value="own_2"', false);
    }

    public function test_it_is_removed_unless_a_role_asks_for_it(): void
    {
        $this->add('tooling', 'tooling');
        $own = OwnFunction::query()->sole();
        $rules = ['version' => 2, 'kinds' => [], 'criteria' => [], 'roles_of_interest' => []];
        $this->offer->ruleSets()->create($rules + [
            'buyer_roles' => [['name' => 'Tools', 'functions' => [], 'neighbours' => ['own_1']]],
        ]);
        $this->delete("/functions/{$own->id}")->assertSessionHasErrors([
            'function' => 'The role “Tools” of Leak survey asks for “tooling”. Change the role first.',
        ]);
        RuleSet::query()->where('version', 2)->update(['buyer_roles' => '[]']);
        $undo = $this->delete("/functions/{$own->id}")->assertSessionHasNoErrors()->getSession()->get('undo');
        self::assertSame([false, false, false], $this->tooling());
        $this->post($undo['to'], $undo['fields']);
        self::assertSame([true, false, false], $this->tooling());
    }

    public function test_what_makes_no_function_is_said(): void
    {
        $this->add('', 'tooling')->assertSessionHasErrors(['function' => 'Give the function a name.']);
        $this->add('supply chain', 'x')
            ->assertSessionHasErrors(['function' => 'There is a function of that name already.']);
        $this->add('tooling', '(tool')->assertSessionHasErrors('words');
        self::assertSame(0, OwnFunction::query()->count());
        foreach (['one', 'two', 'three', 'four'] as $name) {
            $this->add($name, $name)->assertSessionHasNoErrors();
        }
        $this->add('five', 'five')->assertSessionHasErrors([
            'function' => 'There is room for four functions of your own; remove one to add another.',
        ]);
        $this->actingAs($this->rep)->post('/functions', ['function' => 'x', 'words' => 'x'])->assertForbidden();
    }

    private function add(string $name, string $words): \Illuminate\Testing\TestResponse
    {
        app()->forgetScopedInstances();

        return $this->actingAs($this->lead)->post('/functions', ['function' => $name, 'words' => $words]);
    }

    /** @return list<bool> whether each of the three works on the first of the own functions */
    private function tooling(): array
    {
        app()->forgetScopedInstances();

        return Contact::query()->orderBy('id')->limit(3)->get()->map(
            fn (Contact $one): bool => Title::unpacked($one->reading)->has(BusinessFunction::Own1),
        )->all();
    }
}
