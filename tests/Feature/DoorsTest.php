<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Models\Contact;
use App\Models\EventTarget;
use App\Models\Feed;
use App\Models\IndustryLabel;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\KeptList;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Note;
use App\Models\Position;
use App\Models\Station;
use App\Models\Story;
use App\Models\User;
use App\Models\Watch;
use App\Standings\Standings;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route as Routes;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Who may go through which door, and what happens to those who come with nonsense. */
final class DoorsTest extends TestCase
{
    /** Open to those who have not signed in. */
    private const OPEN = [
        // The key in its address opens it.
        'alerts/{key}/feed.atom', 'pace/{key}/steps.ics', 'asks/{ask}/answer',
        'metrics', 'sign-in', 'sign-in/demo', 'sign-in/code', 'up', 'storage/{path}', 'api/openapi.json'];

    /** Where it is for leads and admins to go. */
    private const LEADS = [
        'rules', 'rules/{offer}', 'rules/{offer}/preview', 'rules/{offer}/matches', 'rules/versions/{ruleSet}', 'team',
        'rules/{offer}/angles', 'rules/{offer}/angles/new', 'rules/{offer}/angles/preview',
        'rules/{offer}/angles/restore/{ruleSet}', 'rules/{offer}/angles/{at}', 'team/{user}',
        'rules/{offer}/stories', 'rules/{offer}/stories/new', 'stories/{story}', 'stories/{story}/restore',
        'results/learned/back/{ruleSet}', 'results/learned/sources/{feed}',
        'look-ups/budgets', 'look-ups/services', 'look-ups/services/new', 'look-ups/services/{service}',
        'alike/phrases/{offer}/rules', 'alike/phrases/{offer}/back/{ruleSet}', 'alike/answers',
        'log', 'status', 'team/events', 'team/events/{target}', 'team/events/{target}/again',
        'offers', 'offers/{offer}', 'begin', 'begin/sells', 'begin/serves', 'begin/buys',
    ];

    /** What forms send, all at once and in two halves, so that one complaint does not hide another. */
    private const FIELDS = [
        [
            'name', 'text', 'email', 'role', 'decision', 'until', 'kind', 'words', 'signals', 'contact', 'keep', 'fits',
            'by', 'how', 'first', 'second', 'tag', 'subject', 'only', 'rhythm', 'hour', 'pace', 'code', 'title', 'part',
            'type', 'value', 'criteria', 'kinds', 'on', 'c', 'columns', 'file', 'offer', 'question', 'about',
        ],
        [
            'parts', 'trial', 'to', 'record', 'next', 'time_zone', 'password', 'mapping', 'whose', 'source', 'status',
            'seniority', 'functions', 'since', 'company', 'phone', 'reports_to', 'reason', 'ends', 'query',
            'buyer_roles', 'roles_of_interest', 'note', 'account', 'result', 'instead', 'later_on', 'per_account',
            'first_name', 'last_name', 'domain', 'address', 'owner_id', 'headcount', 'city', 'user', 'sure', 'country',
            'no_agency', 'next_step', 'next_step_on', 'version', 'remember', 'state', 'q', 'find', 'profile',
            'interests', 'code', 'quote', 'channel', '_once', 'trade', 'industries', 'countries', 'not', 'low', 'high',
            'roles', 'say',
            'mark', 'accepted', 'points', 'domains', 'credits', 'price', 'position', 'does', 'secret', 'most',
            'least', 'list', 'contacts', 'phrases', 'with', 'without', 'e', 'x', 'as',
            'into', 'agreed', 'figures', 'reminded', 'thanked',
            'days', 'scopes',
            'industry', 'revenue', 'growth', 'technologies', 'other_sites', 'date', 'link', 'amount', 'person',
        ],
    ];

    /** What addresses carry. */
    private const IN_ADDRESSES = [
        'page', 'on', 'c', 'q', 'sort', 'tab', 'add', 'edit', 'vary', 'over', 'every', 'owner', 'part', 'columns',
        'state', 'words', 'since',
        'find', 'contact', 'next', 'focus', 'value', 'field', 'e', 'x', 'last', 'list', 'contacts', 'least', 'email',
        'first_name', 'last_name', 'name', 'title', 'text', 'kind', 'span', 'who', 'from', 'until',
    ];

    public function test_nobody_gets_in_without_signing_in(): void
    {
        $tried = 0;
        foreach ($this->routes() as $route) {
            if (! in_array($route->uri(), self::OPEN, true)) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    // Whoever posts without a token is told so, and led nowhere.
                    if (str_starts_with($route->uri(), 'api/')) {
                        $this->call($method, '/'.preg_replace('/\{\w+\}/', '1', $route->uri()))->assertUnauthorized();
                        app('auth')->shouldUse('web');

                        continue;
                    }
                    $this
                        ->call(
                            $method,
                            '/'.ltrim(
                                (string) preg_replace('/\{\w+\}/', '1', strtr(
                                    $route->uri(),
                                    [
                                        '{format}' => 'csv', '{kind}' => 'accounts',
                                        '{batch}' => '00000000-0000-4000-8000-000000000000',
                                    ],
                                )),
                                '/',
                            ),
                        )
                        ->assertRedirect('/sign-in');
                    $tried++;
                }
            }
        }
        self::assertGreaterThan(80, $tried);
    }

    public function test_a_rep_goes_neither_into_rules_nor_into_the_team(): void
    {
        $this->actingAs($this->rep);
        $feed = Feed::factory()->create();
        $service = LookUpService::factory()->create();
        $target = EventTarget::factory()->create();
        $story = Story::factory()->create(['offer_id' => $this->offer->id]);
        $before = [User::query()->count(), $this->offer->ruleSets()->count()];
        foreach ($this->routes() as $route) {
            if (in_array($route->uri(), self::LEADS, true)) {
                $url = '/'.strtr($route->uri(), [
                    '{offer}' => (string) $this->offer->id, '{at}' => '0',
                    '{ruleSet}' => (string) $this->offer->ruleSets()->value('id'),
                    '{user}' => (string) $this->lead->id, '{feed}' => (string) $feed->id,
                    '{story}' => (string) $story->id, '{service}' => (string) $service->id,
                    '{target}' => (string) $target->id,
                ]);
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $this->call($method, $url, [
                        'name' => 'x', 'role' => 'admin', 'email' => 'x@blasvik.example',
                        'password' => 'a long password',
                    ])
                        ->assertForbidden();
                }
            }
        }
        self::assertSame($before, [User::query()->count(), $this->offer->ruleSets()->count()]);
        self::assertSame('lead', $this->lead->refresh()->role->value);
    }

    /** @return array<string, array{mixed}> */
    public static function nonsense(): array
    {
        return [
            'a list' => [['x', ['y']]], 'nothing' => [''], 'a long text' => [str_repeat('ä', 5000)],
            'below nothing' => ['-1'], 'beyond any number' => ['99999999999999999999'],
            'marks' => ['"\' OR 1=1; -- <script>%_\\'],
            'bytes that are no text' => ["\xff\xfe\x00"],
            'a word' => ['sideways'],
        ];
    }

    /** Each door meets one or two sorts of nonsense, so that it does not take all day. */
    private function sort(): int
    {
        return (int) array_search($this->dataName(), array_keys(self::nonsense()), true);
    }

    #[DataProvider('nonsense')]
    public function test_an_address_with_nonsense_is_answered_with_a_page(mixed $value): void
    {
        $account = $this->tunhede();
        $list = KeptList::factory()->create([
            'offer_id' => $this->offer->id, 'name' => 'All', 'subject' => 'contacts', 'search' => 'on=contacts',
            'user_id' => $this->rep->id,
        ]);
        $this->actingAs($this->rep)
            ->post(
                route('watches.store'),
                [
                    'name' => 'W', 'rhythm' => 'daily', 'hour' => '8', 'time_zone' => 'Europe/Stockholm',
                    'on' => 'contacts', 'c' => [''],
                ],
            )
            ->assertSessionHasNoErrors();
        $watch = Watch::query()->sole();
        $ids = [
            '{account}' => $account->id, '{contact}' => Contact::query()->value('id'), '{list}' => $list->id,
            '{run}' => LookUpRun::factory()->create(
                ['offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'state' => LookUpRun::FINISHED],
            )->id, '{service}' => LookUpService::factory()->create()->id,
            '{watch}' => $watch->id, '{offer}' => $this->offer->id, '{kind}' => IntakeKind::Accounts->value,
            '{format}' => 'csv', '{ruleSet}' => $this->offer->ruleSets()->value('id'), '{at}' => 0,
        ];
        $this->actingAs($this->lead);
        $tried = 0;
        $sort = $this->sort();
        $bad = [];
        foreach ($this->routes() as $route) {
            $url = '/'.ltrim(strtr($route->uri(), array_map(strval(...), $ids)), '/');
            if (
                ! in_array('GET', $route->methods(), true)
                || str_contains($url, '{')
                || in_array($route->uri(), self::OPEN, true)
                || (crc32($route->uri()) + $sort) % 7 !== 0
            ) {
                continue;
            }
            $bad[] = $this->fails($url.'?'.http_build_query(array_fill_keys(self::IN_ADDRESSES, $value)));
            $tried++;
        }
        $fields = [
            'country', 'near', 'event', 'before', 'reach', 'attribute', 'spending', 'list', 'revenue', 'words', 'title',
            'work', 'tag', 'approached', 'known_contacts',
        ];
        foreach ([['f'], ['v'], ['w', 'st', 'n'], ['lo', 'cur'], ['hi', 'km'], ['q'], ['x', 'u', 'off']] as $keys) {
            $bad[] = $this->fails(
                '/finder?'.http_build_query([
                    'c' => [
                        ...array_map(
                            fn (string $field): array => array_fill_keys($keys, $value) + [
                                'f' => $field, 'v' => 'SE', 'q' => 'pump', 'km' => '5', 'lo' => '1',
                            ],
                            $fields,
                        ),
                        'no step at all',
                    ],
                ]),
            );
        }
        self::assertSame([], array_values(array_filter($bad)));
        self::assertGreaterThan(3, $tried);
    }

    #[DataProvider('nonsense')]
    public function test_a_form_with_nonsense_is_sent_back_and_nothing_is_lost(mixed $value): void
    {
        Queue::fake();
        $account = $this->tunhede();
        $contact = Contact::query()->sole();
        $this->actingAs($this->lead);
        $this->post(route('finder.keep'), ['name' => 'All', 'on' => 'contacts', 'c' => ['']])
            ->assertSessionHasNoErrors();
        $station = Station::query()
            ->create(['user_id' => $this->lead->id, 'kind' => 'school', 'name' => 'Kråkvik skola']);
        $position = Position::factory()->create([
            'contact_id' => $contact->id, 'company' => 'Fjernlund Papir', 'title' => 'Planner', 'since' => '2019-01-01',
            'until' => '2022-01-01',
        ]);
        $ids = [
            '{account}' => $account->id,
            '{contact}' => $contact->id,
            '{list}' => KeptList::query()->value('id'),
            '{run}' => LookUpRun::factory()->create(
                ['offer_id' => $this->offer->id, 'user_id' => $this->rep->id, 'state' => LookUpRun::FINISHED],
            )->id, '{service}' => LookUpService::factory()->create()->id,
            '{offer}' => $this->offer->id, '{at}' => 0,
            '{user}' => $this->rep->id,
            '{station}' => $station->id,
            '{position}' => $position->id,
            '{intake}' => Intake::query()->value('id'),
            '{label}' => IndustryLabel::query()->value('id') ?? 0,
        ];
        $bad = [];
        $tried = 0;
        $sort = $this->sort();
        foreach ($this->routes() as $route) {
            if ((crc32($route->uri()) + $sort) % 7 !== 0) {
                continue;
            }
            $url = '/'.ltrim(strtr($route->uri(), array_map(strval(...), $ids)), '/');
            foreach (array_intersect($route->methods(), ['POST', 'PATCH']) as $method) {
                if (! str_contains($url, '{') && ! in_array($route->uri(), [...self::OPEN, 'sign-out'], true)) {
                    foreach (self::FIELDS as $fields) {
                        $response = $this->call($method, $url, array_fill_keys($fields, $value));
                        $bad[] = $response->getStatusCode() < 500
                            ? null
                            : "$method $url ".$response->exception?->getMessage();
                        $tried++;
                    }
                }
            }
        }
        self::assertSame([], array_values(array_unique(array_filter($bad))));
        self::assertGreaterThan(8, $tried);
        self::assertSame(
            ['Glasverk Tunhede', 'Pernille'],
            [$account->refresh()->name, $contact->refresh()->first_name],
        );
    }

    public function test_what_is_not_there_is_said_to_be_not_there(): void
    {
        $this->actingAs($this->lead);
        foreach ($this->routes() as $route) {
            // Programs are told so by ApiTest.
            if (preg_match('#^(?!api/).*\{(?!format|kind|path)\w+\}#', $route->uri()) === 1) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $this->call($method, '/'.ltrim((string) preg_replace('/\{\w+\}/', '987654', $route->uri()), '/'))
                        ->assertNotFound();
                }
            }
        }
        $this->get('/finder/found.exe')->assertNotFound();
        $this->get('/intake/templates/nothing')->assertNotFound();
    }

    public function test_a_note_is_written_and_only_its_author_takes_it_away(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)->post(route('notes.store', $account), ['text' => ' '])
            ->assertSessionHasErrors(['text' => 'The note is empty.']);
        $this->post(route('notes.store', $account), ['text' => 'Asked for <b>May</b>.'])->assertSessionHasNoErrors();
        $note = Note::query()->sole();
        $this->get(route('accounts.show', $account))->assertSee('Asked for &lt;b&gt;May&lt;/b&gt;.', false);
        $this->actingAs($this->person('Anton', $this->rep->role))->delete(route('notes.destroy', $note))
            ->assertForbidden();
        $this->actingAs($this->rep)->delete(route('notes.destroy', $note))->assertSessionHasNoErrors();
        self::assertSame(0, Note::query()->count());
    }

    public function test_a_note_on_a_person_stands_with_them_and_with_their_account(): void
    {
        $account = $this->tunhede();
        $lea = Contact::factory()->create(['account_id' => $account->id, 'first_name' => 'Lea', 'last_name' => 'Rye']);
        $other = Contact::factory()->create();
        $this->actingAs($this->rep)->post(route('notes.store', $account), ['text' => 'x', 'contact_id' => $other->id])
            ->assertSessionHasErrors('contact_id');
        $this->post(route('notes.store', $account), ['text' => 'Back in May.', 'contact_id' => $lea->id])
            ->assertSessionHasNoErrors();
        $this->get(route('contacts.show', $lea))->assertSee('Back in May.');
        $this->get(route('contacts.show', $other))->assertDontSee('Back in May.');
        $this->get(route('accounts.show', $account))->assertSeeInOrder(['Lea Rye', 'Back in May.']);
        $undo = $this->delete(route('notes.destroy', Note::query()->sole()))->getSession()->get('undo');
        self::assertSame(['text' => 'Back in May.', 'contact_id' => $lea->id], $undo['fields']);
        $this->post($undo['to'], $undo['fields']);
        self::assertSame($lea->id, Note::query()->sole()->contact_id);

        EraseContact::erase($lea, $this->rep);
        self::assertSame(0, Note::query()->count(), 'what is noted of somebody goes with them');
    }

    public function test_the_pace_is_a_number_that_somebody_can_keep(): void
    {
        $this->actingAs($this->rep);
        foreach (['0', '-3', 'many', '', '101'] as $pace) {
            $this->patch(route('pace.update'), ['pace' => $pace])->assertSessionHasErrors('pace');
        }
        $this->patch(route('pace.update'), ['pace' => '12'])->assertSessionHasNoErrors();
        self::assertSame(12, $this->rep->refresh()->pace);
    }

    public function test_signing_in_and_out(): void
    {
        $this->get('/accounts')->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertOk();
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertRedirect('/accounts');
        $this->assertAuthenticatedAs($this->rep);
        $this->get('/sign-in')->assertRedirect();
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
        config(['luftig.demo' => false]);
        $this->post('/sign-in/demo', ['user' => $this->rep->id])->assertNotFound();
        $this->assertGuest();
    }

    public function test_names_are_found_by_what_one_types_also_with_letters_that_no_domain_has(): void
    {
        $this->tunhede();
        $this->bring(IntakeKind::Accounts, "domain;name;industry\nrakvik.example;Råkvik Öl;glass\n");
        (new Standings)->refresh();
        $this->actingAs($this->rep);
        foreach (
            [
                '/go?q=' => ['öl', 'RÅKVIK', 'rakvik.ex'],
                '/accounts?tab=waiting&q=' => ['kvik ö', 'rakvik.ex'],
            ] as $address => $typed
        ) {
            array_map(
                fn (string $text) => $this->get($address.rawurlencode($text))->assertOk()->assertSeeText('Råkvik Öl'),
                $typed,
            );
        }
        $this->get('/network/relations?find=%C3%B6')->assertOk();
        $this->get('/go?q=tunhe')->assertOk()->assertSeeText('Glasverk Tunhede');
        $this->get('/go?q=askov')->assertOk()->assertSeeText('Pernille Askov-Rye');
        $this->get('/go?q=%25')->assertOk()->assertDontSeeText('Glasverk Tunhede');
        $this->get('/go?q=')->assertOk();
    }

    private function fails(string $url): ?string
    {
        $response = $this->get($url);

        return $response->getStatusCode() < 500 ? null : "$url ".$response->exception?->getMessage();
    }

    /** @return list<Route> */
    private function routes(): array
    {
        return array_values(Routes::getRoutes()->getRoutes());
    }
}
