<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Attribute;
use App\Models\IntakeKind;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\Standings;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What people write where a value is asked for: what is known is found, what is not is said with the nearest. */
final class TypedValuesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts,
            "domain;name;industry;headcount;growth;country;region;city;postal code;technologies\n"
                ."tunhede.example;Glasverk Tunhede;glass;420;5 %;Denmark;Nordjylland;Hobro;9500;Tryklog\n"
                ."zahnhaus.example;Zahnhaus Ulm;Zahnarztpraxis;20;1 %;Germany;Bayern;Ulm;89073;Quastplan\n"
                ."ohne.example;Ohne Angaben;;;;;;;;\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title\ntunhede.example;Ida;Lie;Manager\n");
        (new Standings)->all();
    }

    /** @return list<array{string, string, int}> */
    public static function known(): array
    {
        return [
            ['country', 'Denmark', 1], ['country', 'Dänemark', 1], ['country', 'DK', 1], ['country', 'dk', 1],
            ['country', 'Nordics', 1], ['country', 'DACH', 1], ['country', 'nordic countries, Deutschland', 2],
            ['industry', 'glass', 1], ['industry', '2310', 1], ['industry', 'C', 1], ['industry', 'Zahnarzt', 1],
            ['industry', '86.23', 1], ['industry', 'WZ 86.23.0', 1], ['industry', 'glass; Zahnarztpraxis', 2],
            ['industry', 'Hospital activities', 0], ['city', 'hobro', 1], ['region', 'BAYERN', 1],
            ['postal_area', '9500', 1], ['technology', 'tryklog', 1], ['technology', 'Tryklog v2', 1],
            ['domain', 'https://www.tunhede.example/', 1], ['domain', "tunhede.example\nnobody.example", 1],
            ['country', 'France', 0],
        ];
    }

    #[DataProvider('known')]
    public function test_a_known_value_is_found(string $field, string $typed, int $count): void
    {
        $this->found($field, $typed)->assertSeeText($count === 1 ? '1 account' : "$count accounts")
            ->assertDontSeeText('cannot be used');
    }

    /** @return list<array{string, string, string}> */
    public static function unknown(): array
    {
        return [
            ['country', 'Denmrk', 'No country is known as “Denmrk”. Do you mean “Denmark”?'],
            ['country', 'Atlantis', 'No country is known as “Atlantis”.'],
            ['industry', 'glas wools', 'No industry is known as “glas wools”. Do you mean “Glass and glass products”'],
            ['industry', '9999', 'No industry is known as “9999”.'], ['city', 'Hobo', 'Do you mean “Hobro”?'],
            ['technology', 'Trykloog', 'Do you mean “Tryklog”?'], ['region', 'Bayren', 'Do you mean “Bayern”?'],
            ['domain', 'tunhed.example', 'Do you mean “tunhede.example”?'],
        ];
    }

    #[DataProvider('unknown')]
    public function test_an_unknown_value_is_said_with_the_nearest(string $field, string $typed, string $sentence): void
    {
        $this->found($field, $typed)->assertSeeText($sentence)->assertSeeText('cannot be used');
    }

    public function test_of_a_list_the_unknown_are_named_and_the_others_found(): void
    {
        $this->found('country', 'Denmark, Germny')->assertSeeText('1 account')
            ->assertSeeText('Country: No country is known as “Germny”. Do you mean “Germany”?');
    }

    public function test_many_values_of_a_field_are_shown_and_several_taken_at_once(): void
    {
        $rows = '';
        foreach (['SE', 'NO', 'FI', 'PL', 'CZ', 'NL'] as $i => $country) {
            $rows .= "firm$i.example;Firm $i;$country\n";
        }
        $this->bring(IntakeKind::Accounts, "domain;name;country\n$rows");
        (new Standings)->all();
        $all = ['on' => 'accounts', 'c' => ['']];
        $this->actingAs($this->rep)->get('/finder?'.http_build_query($all))->assertOk()
            ->assertSeeText('more')->assertDontSeeText('Only these');
        $wide = $this->get('/finder?'.http_build_query($all + ['wide' => 'country']))->assertOk()
            ->assertSeeText('Only these');
        foreach (['Sweden', 'Norway', 'Finland', 'Poland', 'Czechia', 'Netherlands', 'Denmark', 'Germany'] as $name) {
            $wide->assertSeeText($name);
        }
        $step = ['f' => 'country', 'v' => ['SE', 'NO', 'PL']];
        $this->followingRedirects()->post('/finder', ['on' => 'accounts', 'c' => [$step]])->assertSeeText('3 accounts');
        $this->followingRedirects()->post('/finder', ['on' => 'accounts', 'c' => [['x' => '1'] + $step]])
            ->assertSeeText('6 accounts');
    }

    public function test_values_are_suggested_by_name_and_never_as_a_bare_code(): void
    {
        $suggested = fn (string $field, string $typed): TestResponse => $this->actingAs($this->rep)
            ->get("/finder/values/$field?".http_build_query(['c' => [['v' => ['', $typed]]]]))->assertOk();
        $suggested('country', 'nor')->assertSee('data-value="DK,FI,IS,NO,SE"', false)
            ->assertSeeText('Nordics (5 countries)');
        $suggested('industry', 'dental')->assertSee('data-value="8620"', false)
            ->assertSeeText('Medical and dental practice activities');
        $suggested('technology', 'Quastplan, try')->assertSeeText('Tryklog')->assertDontSeeText('Quastplan');
        $suggested('city', '')->assertDontSee('data-value', false);
        $this->get('/finder/values/no-such-field')->assertNotFound();
    }

    public function test_rules_refuse_what_nobody_can_have_and_ask_about_what_nobody_has(): void
    {
        $says = [
            ['industries', 'Zwitscherkram', 'no industry (ISIC) is known as “Zwitscherkram”.'],
            ['industries', 'glas wools', 'Do you mean “glass and glass products (2310)”?'],
            ['country', 'Denmrk', 'no country is known as “Denmrk”. Do you mean “Denmark”?'],
            ['technologies', 'Trykloog', 'Do you mean “Tryklog”? If nobody has it yet, say so under it.'],
            ['region', 'Bayren', 'Do you mean “Bayern”?'],
        ];
        foreach ($says as [$field, $typed, $sentence]) {
            $this->rules(['field' => $field, 'value' => $typed])->assertSessionHasErrors('rules');
            self::assertStringContainsString($sentence, (string) session('errors')?->first('rules'), "$field $typed");
            $this->actingAs($this->lead)
                ->post("/rules/{$this->offer->id}/preview", $this->form(['field' => $field, 'value' => $typed]))
                ->assertOk()->assertSeeText($sentence);
        }
        self::assertSame(1, RuleSet::query()->max('version'));
        $this->rules(['field' => 'technologies', 'value' => 'Trykloog', 'sure' => '1'])->assertSessionHasNoErrors();
        self::assertSame(['Trykloog'], $this->stored()['any']);
        // What stands there already is not asked about again.
        $this->rules(['field' => 'technologies', 'value' => 'Trykloog'], 2)->assertSessionHasNoErrors();
    }

    public function test_a_criterion_is_on_a_fact_of_ones_own(): void
    {
        $fact = Attribute::factory()->create(['name' => 'Shifts'])->id;
        foreach (['tunhede.example' => 'three', 'zahnhaus.example' => 'one'] as $domain => $value) {
            DB::table('account_attribute')->insert([
                'account_id' => Account::query()->where('domain', $domain)->value('id'), 'attribute_id' => $fact,
                'value' => $value,
            ]);
        }
        $shifts = ['field' => 'fact', 'fact' => 'Shifts', 'mode' => 'must'];
        $this->rules($shifts + ['value' => 'tree'])->assertSessionHasErrors('rules');
        self::assertStringContainsString('Do you mean “three”?', (string) session('errors')?->first('rules'));
        $this->rules($shifts + ['value' => 'Three', 'name' => 'in shifts'])->assertSessionHasNoErrors();
        self::assertSame(['any' => ['Three'], 'fact' => 'Shifts'], array_intersect_key(
            $this->stored(), ['fact' => 1, 'any' => 1],
        ));
        (new Standings)->all();
        $state = fn (string $domain): array => Standing::query()
            ->whereRelation('account', 'domain', $domain)->sole()->only('state', 'cause');
        self::assertSame(StandingState::Waiting, $state('tunhede.example')['state']);
        self::assertSame(['state' => StandingState::Out, 'cause' => 'in shifts'], $state('zahnhaus.example'));
        self::assertSame(StandingState::Waiting, $state('ohne.example')['state'], 'what is not known keeps nobody out');
        $this->get("/rules/{$this->offer->id}")->assertSee('Which fact')->assertSee('Shifts');
        $this->get('/rules/suggestions?field=fact&criteria[1][value]=thr')->assertSee('three');
    }

    public function test_a_criterion_is_on_a_number_of_ones_own(): void
    {
        $at = fn (string $domain): int => Account::query()->where('domain', $domain)->sole()->id;
        $known = ['Chairs' => ['ca. 1.200 pcs', '4', 'some'], 'Shifts' => ['three', 'one', 'one']];
        foreach ($known as $name => $values) {
            DB::table('account_attribute')->insert(array_map(fn (string $domain, string $value): array => [
                'account_id' => $at($domain), 'value' => $value,
                'attribute_id' => Attribute::query()->firstOrCreate(['name' => $name])->id,
            ], ['tunhede.example', 'zahnhaus.example', 'ohne.example'], $values));
        }
        $chairs = ['field' => 'number', 'fact' => 'Chairs', 'mode' => 'must', 'name' => 'seats', 'low' => '1,000'];
        foreach ([
            ['fact' => 'Shifts', 'says' => '“seats”: what stands under “Shifts” is no number, as “one”.'],
            ['fact' => 'Beds', 'says' => '“seats”: nothing is known as “Beds”.'],
            ['fact' => '', 'says' => 'Say which fact of your own is meant.'],
            ['low' => 'many', 'says' => 'is a number'],
        ] as $wrong) {
            $this->rules($wrong + $chairs)->assertSessionHasErrors('rules');
            self::assertStringContainsString($wrong['says'], (string) session('errors')?->first('rules'));
        }
        $this->rules($chairs)->assertSessionHasNoErrors();
        self::assertEquals(['range' => [1000, null], 'fact' => 'Chairs'], array_intersect_key(
            $this->stored(), ['fact' => 1, 'range' => 1],
        ));
        (new Standings)->all();
        $state = fn (string $domain): StandingState => Standing::query()->where('account_id', $at($domain))
            ->sole()->state;
        self::assertSame([StandingState::Waiting, StandingState::Out, StandingState::Waiting], [
            $state('tunhede.example'), $state('zahnhaus.example'), $state('ohne.example'),
        ]);
        $this->get('/rules/values?key=1&criteria[1][field]=number')->assertSee('Which fact')->assertSee('Chairs')
            ->assertSee('as it stands in your file');
    }

    public function test_a_number_kept_as_a_fact_of_ones_own_is_found_by_its_bounds(): void
    {
        $fact = Attribute::factory()->create(['name' => 'Chairs'])->id;
        foreach (['tunhede.example' => '1 200', 'zahnhaus.example' => '4', 'ohne.example' => 'some'] as $at => $value) {
            DB::table('account_attribute')->insert([
                'account_id' => Account::query()->where('domain', $at)->value('id'), 'attribute_id' => $fact,
                'value' => $value,
            ]);
        }
        (new Standings)->all();
        $found = fn (array $step): TestResponse => $this->actingAs($this->rep)->get('/finder?'.http_build_query(
            ['on' => 'accounts', 'c' => [['f' => 'attribute', 'w' => 'chairs'] + $step]],
        ))->assertOk();
        $found(['lo' => '3', 'hi' => '10'])->assertSeeText('1 account')->assertSeeText('Zahnhaus Ulm');
        $found(['lo' => '1.000'])->assertSeeText('1 account')->assertSeeText('Glasverk Tunhede');
        $found(['hi' => '5000'])->assertSeeText('2 accounts');
        $found(['lo' => '3', 'hi' => '10', 'v' => 'some'])->assertSeeText('2 accounts');
        $found(['lo' => '5', 'hi' => '6'])->assertSeeText('No number of “chairs” lies between these.');
        $found([])->assertSeeText('3 accounts');
    }

    public function test_rules_read_numbers_and_names_as_people_write_them(): void
    {
        $read = [
            [['field' => 'revenue', 'low' => '1,5 Mio', 'high' => '20000 TEUR'], 'range', [1.5e6, 2e7]],
            [['field' => 'growth', 'low' => '5 %', 'high' => '40'], 'range', [.05, .4]],
            [['field' => 'headcount', 'low' => '1.000', 'high' => '2 500 MA'], 'range', [1000.0, 2500.0]],
            [['field' => 'country', 'value' => 'Nordics, Deutschland'], 'any', ['DK', 'FI', 'IS', 'NO', 'SE', 'DE']],
            [['field' => 'country', 'any' => ['DK,FI', 'PL']], 'any', ['DK', 'FI', 'PL']],
            [['field' => 'industries', 'value' => 'WZ 86.23.0; Glas; q'], 'any', ['8620', '2310', 'Q']],
        ];
        foreach ($read as $i => [$row, $as, $value]) {
            $this->rules($row, $i + 1)->assertSessionHasNoErrors();
            self::assertEquals($value, $this->stored()[$as]);
        }
    }

    public function test_beside_each_criterion_stands_how_many_it_lets_in(): void
    {
        // Glass is made, teeth are not, and of one it is not known.
        $this->actingAs($this->lead)->get("/rules/{$this->offer->id}")->assertOk()
            ->assertSeeText('1 in · 1 unknown, kept · 1 out')->assertSeeText('1 met · 1 unknown, half · 1 not met');
        $this->post("/rules/{$this->offer->id}/preview", $this->form(
            ['field' => 'country', 'any' => ['DE'], 'mode' => 'must_not'],
        ))
            ->assertSee('id="met-0"', false)->assertSeeText('1 in · 1 unknown, kept · 1 out');
    }

    private function found(string $field, string $typed): TestResponse
    {
        return $this->actingAs($this->rep)->followingRedirects()->post('/finder', [
            'on' => 'accounts', 'c' => [['f' => $field, 'v' => $typed]], 'added' => $field,
        ])->assertOk();
    }

    /** @param  array<string, mixed>  $criterion */
    private function rules(array $criterion, int $version = 1): TestResponse
    {
        return $this->actingAs($this->lead)->post("/rules/{$this->offer->id}", $this->form($criterion, $version));
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array<string, mixed>
     */
    private function form(array $criterion, int $version = 1): array
    {
        return ['version' => $version, 'criteria' => [$criterion + ['name' => 'it', 'mode' => 'must']]];
    }

    /** @return array<string, mixed> */
    private function stored(): array
    {
        return RuleSet::query()->orderByDesc('version')->firstOrFail()->criteria[0];
    }
}
