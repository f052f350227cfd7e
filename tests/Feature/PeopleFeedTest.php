<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Models\CandidateCompany;
use App\Models\Contact;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\IntakeKind;
use App\Models\ItemState;
use App\Models\Position;
use App\Models\Signal;
use Illuminate\Support\Facades\Http;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;
use Tests\TestCase;

/** People's positions as a feed tells of them, and what follows. */
final class PeopleFeedTest extends TestCase
{
    use HasOutside {
        setUp as private setUpOutside;
    }

    private Feed $feed;

    protected function setUp(): void
    {
        $this->setUpOutside();
        $this->offer->rules->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations'], 'weight' => 1],
        ]]);
        $this->bring(IntakeKind::Accounts, "domain;name;industry;headcount;country\n"
            ."tunhede.example;Glasverk Tunhede;glass;420;Denmark\n"
            ."fjernlund.example;Fjernlund Papir;paper;300;Norway\n");
        $this->bring(IntakeKind::Customers, "domain;customer since\nfjernlund.example;2020-01-01\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;in position since;email\n"
            ."fjernlund.example;Pernille;Askov-Rye;Maintenance Planner;2021-04-01;pernille@fjernlund.example\n");
        $this->feed = $this->feed('people', 'people/changes.json?since=');
    }

    public function test_a_contact_who_moves_is_followed_and_the_signals_follow(): void
    {
        $this->world('moves', [$this->pernille()]);
        $run = $this->ask($this->feed);
        self::assertSame([1, 2, null], [$run->created, $run->signals, $run->problem]);
        $contact = Contact::query()->sole();
        self::assertSame(['tunhede.example', 'Head of Maintenance'], [$contact->account->domain, $contact->title]);
        self::assertSame(
            [['Maintenance Planner', '2021-04-01', '2026-11-02'], ['Head of Maintenance', '2026-11-02', null]],
            Position::query()->orderBy('since')->get()->map(fn (Position $one): array => [
                $one->title, $one->since?->toDateString(), $one->until?->toDateString(),
            ])->all(),
        );
        self::assertSame(
            [['customer_alum', '2026-11-02'], ['new_leader', '2026-11-02']],
            Signal::query()->orderBy('kind')->get()->map(fn (Signal $one): array => [
                $one->kind->value, $one->occurred_at->toDateString(),
            ])->all(),
        );
        $item = FeedItem::query()->sole();
        self::assertSame(
            [ItemState::Taken, 'By their profile or address.', 2],
            [$item->state, $item->why, $item->signals()->count()],
        );
        $this->actingAs($this->rep)->get(route('signals.show', Signal::query()->where('kind', 'new_leader')->sole()))
            ->assertSee('Pernille Askov-Rye: Head of Maintenance')->assertSee('By their profile or address.');

        $again = $this->ask($this->feed);
        self::assertSame([0, 0, 2], [$again->created, $again->signals, Signal::query()->count()]);
        self::assertSame(2, Position::query()->count(), 'a second run brings nothing twice');
    }

    public function test_a_position_without_a_day_gets_one_and_is_no_second_one(): void
    {
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;email\n"
            ."tunhede.example;Ida;Lie;Planner;ida@tunhede.example\n");
        $tells = fn (array ...$positions): array => [[
            'id' => 'm7', 'name' => 'Ida Lie', 'email' => 'ida@tunhede.example', 'at' => '2026-11-20T08:00:00Z',
            'positions' => $positions,
        ]];
        $planner = ['title' => 'Planner', 'domain' => 'tunhede.example'];
        // She was there before, and came again: the one she holds is not the one she held.
        $this->world('moves', $tells($planner + ['since' => '2022-05-01'], $planner + [
            'since' => '2010-01-01', 'until' => '2014-01-01',
        ]));
        $this->ask($this->feed);
        $held = fn (): array => Position::query()->where('title', 'Planner')->orderBy('since')->get()
            ->map(fn (Position $one): array => [$one->since?->year, $one->until?->year])->all();
        self::assertSame([[2010, 2014], [2022, null]], $held());
        $this->ask($this->feed);
        self::assertSame([[2010, 2014], [2022, null]], $held());
    }

    public function test_somebody_new_at_an_account_becomes_a_contact_as_sure_as_the_source(): void
    {
        $this->world('moves', [$this->torunn([
            ['title' => 'Head of Maintenance', 'domain' => 'tunhede.example', 'since' => '2026-10-20'],
            [
                'title' => 'Maintenance Technician', 'domain' => 'tunhede.example', 'since' => '2023-01-01',
                'until' => '2026-10-20',
            ],
        ])]);
        $this->feed->update(['confidence' => .8]);
        $this->ask($this->feed);
        $contact = Contact::query()->where('last_name', 'Hallingmo')->sole();
        self::assertSame(
            ['Torunn', .8, 'https://people.example/torunn', $this->feed->name],
            [$contact->first_name, $contact->confidence, $contact->profile, $contact->source],
        );
        self::assertSame('Torunn Hallingmo moved up to Head of Maintenance', Signal::query()->sole()->title);
    }

    public function test_whoever_leaves_is_former_and_where_they_went_is_a_candidate(): void
    {
        $this->world('moves', [$this->pernille([
            'title' => 'Plant Manager', 'company' => 'Hestnes Metall', 'domain' => 'hestnes.example',
            'since' => '2026-11-10',
        ])]);
        $this->ask($this->feed);
        $contact = Contact::query()->sole();
        self::assertSame('Former Maintenance Planner', $contact->title);
        self::assertSame(Status::Former, Title::unpacked($contact->reading)->status);
        self::assertSame('2026-11-02', Position::query()->sole()->until?->toDateString());
        self::assertSame('By their profile or address: they have left.', FeedItem::query()->sole()->why);
        self::assertSame('hestnes.example', CandidateCompany::query()->sole()->domain);
        self::assertSame(0, Signal::query()->count());
    }

    public function test_a_card_says_the_same(): void
    {
        $this->world('moves', [$this->pernille()]);
        $cards = $this->feed('cards', 'people/m1.vcf');
        self::assertSame([1, 2], [$this->ask($cards)->created, Signal::query()->count()]);
        self::assertSame('Head of Maintenance', Contact::query()->sole()->title);
        // The same from the other source: nothing changes but that there are two.
        $this->ask($this->feed);
        self::assertSame([2, 2], [Signal::query()->count(), Position::query()->count()]);
        self::assertSame([2, 2], Signal::query()->withCount('items')->pluck('items_count')->all());
    }

    public function test_what_is_no_card_and_no_person_is_refused_and_the_rest_goes_on(): void
    {
        $card = fn (string $name, string $more): string => "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:$name\r\n"
            ."{$more}END:VCARD\r\n";
        Http::fake(['*' => Http::response(
            $card('Ida Lie', "TITLE:Head of Maintenance\r\nORG:Glasverk Tunhede\r\nURL:https://tunhede.example\r\n")
                .$card('No Position', '').$card('Broken', "TIT\x01LE\r\n").'BEGIN:VCARD',
        )]);
        $run = $this->ask($this->feed('cards', 'people/all.vcf'));
        self::assertSame([4, 3], [$run->came, $run->refused]);
        $items = FeedItem::query()->where('state', ItemState::Refused)->pluck('why');
        self::assertContains('The card or object names nobody with a position.', $items);
        self::assertSame(
            'Neither they nor where they are is in the base.',
            FeedItem::query()->whereNot('state', ItemState::Refused)->value('why'),
            'a card without groups names the company, and no domain by which to tell it',
        );
    }

    public function test_people_that_do_not_hold_to_the_schema_are_refused(): void
    {
        Http::fake(['*' => Http::response((string) json_encode(['people' => [
            ['name' => 'Ida', 'positions' => []], 'nobody', ['name' => 'Ida', 'positions' => [['title' => 'Head']]],
        ]]))]);
        $run = $this->ask($this->feed);
        self::assertSame([3, 2], [$run->came, $run->refused]);
        self::assertStringStartsWith(
            'It does not hold to the schema:',
            (string) FeedItem::query()->where('state', ItemState::Refused)->value('why'),
        );
    }

    public function test_who_asked_to_be_erased_is_not_kept_however_often_a_source_tells(): void
    {
        EraseContact::erase(Contact::query()->sole(), $this->lead);
        $this->world('moves', [$this->pernille()]);
        for ($i = 0; $i < 2; $i++) {
            $this->ask($this->feed);
            $item = FeedItem::query()->sole();
            self::assertSame(
                ['An erased person', [], '', ItemState::Dropped],
                [$item->title, $item->facts, $item->raw(), $item->state],
            );
            self::assertSame(0, Contact::query()->count());
        }
    }

    /**
     * @param  array<string, string>|null  $now
     * @return array<string, mixed>
     */
    private function pernille(?array $now = null): array
    {
        return [
            'id' => 'm1', 'name' => 'Pernille Askov-Rye', 'email' => 'pernille@fjernlund.example',
            'at' => '2026-11-20T08:00:00Z', 'positions' => [
                $now ?? ['title' => 'Head of Maintenance', 'domain' => 'tunhede.example', 'since' => '2026-11-02'],
                [
                    'title' => 'Maintenance Planner', 'domain' => 'fjernlund.example', 'since' => '2021-04-01',
                    'until' => '2026-11-02',
                ],
            ],
        ];
    }

    /**
     * @param  list<array<string, string>>  $positions
     * @return array<string, mixed>
     */
    private function torunn(array $positions): array
    {
        return [
            'id' => 'm2', 'name' => 'Torunn Hallingmo', 'profile' => 'https://people.example/torunn',
            'at' => '2026-11-20T08:00:00Z', 'positions' => $positions,
        ];
    }
}
