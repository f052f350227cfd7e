<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Position;
use App\Models\Reason;
use App\Models\Station;
use App\Network\CommonGround;
use App\Network\Ties;
use App\Reasons\Drafts;
use App\Standings\Standings;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What a contact and one of us have in common, as a fact that words can rest on (rules 19 and 21). */
final class CommonGroundTest extends TestCase
{
    private Contact $ida;

    protected function setUp(): void
    {
        parent::setUp();
        $this->offer->rules->update(['angles' => json_decode(
            (string) file_get_contents(__DIR__.'/../../database/demo/angles-leak-survey.json'), true,
        )]);
        $this->offer->load('rules');
        $account = Account::factory()->create(['domain' => 'glas.example', 'name' => 'Glas', 'headcount' => 80]);
        $account->industries()->create(['position' => 0, 'code' => '2310']);
        $this->ida = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Moe', 'title' => 'Plant Manager',
        ]);
        Channel::query()->create([
            'contact_id' => $this->ida->id, 'type' => 'email', 'value' => 'ida@glas.example', 'state' => 'valid',
        ]);
        (new Standings)->all();
        $this->actingAs($this->rep);
    }

    public function test_a_school_an_association_and_an_employer_in_common_are_found_with_who_shares_them(): void
    {
        $mill = Account::factory()->create(['name' => 'Papirmølla']);
        $this->affiliated('school', 'Kråkvik skola');
        $this->affiliated('association', 'Luftlaget');
        $this->affiliated('school', 'Nobody’s school');
        $this->station('school', 'Kråkvik skola');
        $this->station('school', 'Kråkvik skola', $this->rep->id);
        $this->station('association', 'Luftlaget');
        // One where an account stands behind it, one that is only a name, and the present one, which is no common past.
        $this->held($mill->id, 'Papirmølla', '2015-01-01');
        $this->held(null, 'Old Works', '2012-01-01');
        $this->held($this->ida->account_id, 'Glas', null);
        $this->station('position', 'Papirmølla', accounts: $mill->id);
        $this->station('position', 'Old Works');
        $this->station('position', 'Glas', accounts: $this->ida->account_id);
        self::assertSame([], CommonGround::of($this->ida), 'until it is loaded');
        self::assertSame([], CommonGround::of(null));
        CommonGround::load(collect([$this->ida]));
        self::assertEqualsCanonicalizing([
            ['association', 'Luftlaget', 'Ylva'], ['employer', 'Old Works', 'Ylva'], ['employer', 'Papirmølla', 'Ylva'],
            ['school', 'Kråkvik skola', 'Mira'],
        ], CommonGround::of($this->ida));
        self::assertSame([
            'belongs to Luftlaget, as Ylva does', 'worked at Old Works, as Ylva did',
            'went to Kråkvik skola, as Mira did',
        ], array_map(CommonGround::fact(...), [
            ['association', 'Luftlaget', 'Ylva'], ['employer', 'Old Works', 'Ylva'],
            ['school', 'Kråkvik skola', 'Mira'],
        ]));
        CommonGround::load(collect());
    }

    public function test_an_angle_rests_on_it_and_the_reason_keeps_it(): void
    {
        self::assertSame('They fit', Drafts::for($this->offer, $this->ida->account, $this->ida)?->angle);
        $this->affiliated('school', 'Kråkvik skola');
        $this->station('school', 'Kråkvik skola');
        $draft = Drafts::for($this->offer, $this->ida->account, $this->ida);
        self::assertSame('From one school', $draft?->angle);
        self::assertSame('Begin with Kråkvik skola, where Ylva was too', $draft->headline());
        self::assertStringContainsString('Ylva of our team was at Kråkvik skola, as you were', $draft->words());
        self::assertContains('They fit', $draft->others);
        $this->get(route('contacts.show', $this->ida))->assertSeeText('Ylva of our team was at Kråkvik skola');
        $this->get(route('accounts.show', $this->ida->account_id))->assertOk();
        $this->post(route('accounts.approach', $this->ida->account_id), [
            'kind' => 'email', 'contact' => $this->ida->id, 'words' => $draft->words(),
        ])->assertSessionHasNoErrors();
        $reason = Reason::query()->sole();
        self::assertSame('From one school', $reason->evidence['angle']);
        self::assertSame(['went to Kråkvik skola, as Ylva did'], $reason->evidence['facts']);
        $this->get(route('reasons.show', $reason))->assertSeeText('Went to Kråkvik skola, as Ylva did');
        $this->get(route('reasons.create', [$this->ida->account_id, 'contact' => $this->ida->id]))
            ->assertSeeText('went to Kråkvik skola, as Ylva did');
        $this->post(route('reasons.store', $this->ida->account_id), [
            'contact' => $this->ida->id, 'words' => 'Hello Ida, of Kråkvik skola. How do you know what it loses?',
            'facts' => ['went to Kråkvik skola, as Ylva did', 'made up'],
        ])->assertSessionHasNoErrors();
        self::assertSame(
            ['went to Kråkvik skola, as Ylva did'], Reason::query()->latest('id')->firstOrFail()->evidence['facts'],
        );
        // Whoever shares it no longer is no reason any more.
        Station::query()->delete();
        self::assertNotSame('From one school', Drafts::for($this->offer, $this->ida->account, $this->ida)?->angle);
    }

    public function test_a_town_that_one_of_us_lived_in_is_theirs_or_that_of_their_house(): void
    {
        $this->post(route('stations.store'), [
            'user' => $this->rep->id, 'kind' => 'place', 'name' => 'Hobro',
        ])->assertSessionHasNoErrors();
        CommonGround::load(collect([$this->ida]));
        self::assertSame([], CommonGround::of($this->ida));
        $this->ida->account->places()->create(['headquarters' => false, 'city' => 'Hobro', 'country' => 'DK']);
        CommonGround::load(collect([$this->ida]));
        self::assertSame([], CommonGround::of($this->ida), 'a site is not where they are');
        $this->ida->update(['city' => 'HOBRO']);
        CommonGround::load(collect([$this->ida]));
        self::assertSame([['place', 'Hobro', 'Mira']], CommonGround::of($this->ida));
        $this->ida->update(['city' => null]);
        $this->ida->account->places()->update(['headquarters' => true]);
        $draft = Drafts::for($this->offer, $this->ida->account->unsetRelation('places'), $this->ida);
        self::assertSame('From one town', $draft?->angle);
        self::assertSame('Begin with Hobro, where Mira lived', $draft->headline());
        self::assertSame(['is in Hobro, which Mira knows from living there'], $draft->facts);
        $this->get(route('network'))->assertSeeText('Mira, place');
        self::assertSame([], (new Ties(collect([$this->ida])))->of($this->ida), 'nobody knows a whole town');
    }

    public function test_one_school_alone_can_be_meant_and_the_screen_of_angles_says_so(): void
    {
        $this->affiliated('school', 'Kråkvik skola');
        $this->station('school', 'Kråkvik skola');
        $angles = $this->offer->rules->angles;
        foreach ($angles as $i => $angle) {
            if ($angle['name'] === 'From one school') {
                $angles[$i]['needed'][1]['value'] = 'Another school';
            }
        }
        $this->offer->rules->update(['angles' => $angles]);
        $other = Drafts::for($this->offer->load('rules'), $this->ida->account, $this->ida);
        self::assertSame('They fit', $other?->angle);
        $this->actingAs($this->lead)->get(route('angles.index', $this->offer))
            ->assertSeeText('that they fit, and a school in common with one of us');
        $this->get(route('angles.create', $this->offer))->assertSeeText('an earlier employer in common with one of us');
    }

    private function affiliated(string $kind, string $name): void
    {
        DB::table('affiliations')->insert(['contact_id' => $this->ida->id, 'kind' => $kind, 'name' => $name]);
    }

    private function station(string $kind, string $name, ?int $user = null, ?int $accounts = null): void
    {
        Station::query()->create([
            'user_id' => $user ?? $this->lead->id, 'kind' => $kind, 'name' => $name, 'account_id' => $accounts,
        ]);
    }

    private function held(?int $account, string $company, ?string $until): void
    {
        Position::factory()->create([
            'contact_id' => $this->ida->id, 'account_id' => $account, 'company' => $company, 'title' => 'Planner',
            'since' => '2010-01-01', 'until' => $until,
        ]);
    }
}
