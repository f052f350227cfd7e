<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Feed;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Role;
use App\Models\Signal;
use App\Models\Watch;
use App\Standings\Standings;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Spatie\Activitylog\Models\Activity;
use Tests\TestCase;

/** What programs read and write for a person; every answer is what the description says. */
final class ApiTest extends TestCase
{
    private const ALL = ['read', 'accounts', 'contacts', 'reasons', 'lists'];

    private string $token = '';

    private Account $tunhede;

    private Contact $ida;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts, "domain;name;headcount;industry;country\n"
            ."tunhede.example;Glasverk Tunhede;420;C23;SE\nlovhult.example;Lövhult Kretskort;90;C26;SE\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;email\n"
            ."tunhede.example;Ida;Lie;Maintenance Manager;ida@tunhede.example\n"
            ."lovhult.example;Nils;Ek;Plant Manager;nils@lovhult.example\n");
        $this->bring(IntakeKind::Signals, "domain;kind;date;title\ntunhede.example;funding;2026-11-20;New money\n");
        (new Standings)->all();
        $this->tunhede = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
        $this->ida = Contact::query()->where('first_name', 'Ida')->firstOrFail();
        $this->token = $this->rep->createToken('x', self::ALL)->plainTextToken;
    }

    public function test_accounts_are_read_page_by_page_added_and_corrected(): void
    {
        $first = $this->get_('/accounts?limit=1', 'accounts')->json();
        self::assertSame(['Glasverk Tunhede'], array_column($first['data'], 'name'));
        self::assertSame('ranked', $first['data'][0]['standing']['state']);
        $second = $this->get_(substr((string) parse_url($first['links']['next'], PHP_URL_PATH), 4).'?'
            .parse_url($first['links']['next'], PHP_URL_QUERY), 'accounts')->json();
        self::assertSame(['Lövhult Kretskort'], array_column($second['data'], 'name'));
        self::assertNull($second['links']['next']);
        self::assertSame([], $this->get_('/accounts?q=nowhere', 'accounts')->json('data'));
        self::assertCount(1, $this->get_('/accounts?state=waiting', 'accounts')->json('data'));
        self::assertCount(1, $this->get_('/accounts?domain=lovhult.example', 'accounts')->json('data'));

        $made = $this->send('POST', '/accounts', 'addAccount', [
            'name' => 'Rasktorpa', 'domain' => 'rasktorpa.example', 'headcount' => 1200, 'revenue' => 2.5e6,
            'technologies' => ['Vedliko Plan', 'Kvistomat'],
        ])->assertCreated();
        $made->assertJsonPath('data.headcount', 1200)->assertJsonPath('data.revenue', 2_500_000)
            ->assertJsonPath('data.technologies', ['Kvistomat', 'Vedliko Plan'])
            ->assertJsonPath('data.standing.state', 'waiting');
        $at = substr((string) parse_url((string) $made->headers->get('Location'), PHP_URL_PATH), 4);
        $seen = $this->get_($at, 'account')->headers->get('ETag');
        $this->asks('GET', $at, headers: ['HTTP_IF_NONE_MATCH' => $seen])->assertStatus(304);
        $this->send('PATCH', $at, 'changeAccount', ['headcount' => 1300], ['HTTP_IF_MATCH' => $seen])->assertOk()
            ->assertJsonPath('data.headcount', 1300)->assertJsonPath('data.name', 'Rasktorpa');
        $this->problem($this->send('PATCH', $at, 'changeAccount', ['headcount' => 1], ['HTTP_IF_MATCH' => $seen]), 412);
        $this->get_($at, 'account')->assertJsonPath('data.headcount', 1300);
        $this->problem($this->asks('POST', '/accounts', ['name' => '', 'headcount' => 'many']), 422)
            ->assertJsonPath('errors.name.0', 'Give the account a name.');
        $many = ['name' => 'X', 'domain' => 'x.example', 'headcount' => 'many'];
        $this->problem($this->asks('POST', '/accounts', $many),
            422)->assertJsonPath('errors.headcount.0', '“many” cannot be read as headcount. Nothing was kept.');
        self::assertSame(3, Account::query()->count());
    }

    public function test_signals_are_added_read_and_struck_out(): void
    {
        $made = $this->send('POST', "/accounts/{$this->tunhede->id}/signals", 'addSignal', [
            'kind' => 'growth', 'date' => '2026-11-19', 'title' => 'A second furnace', 'strength' => .7,
        ])->assertCreated()->assertJsonPath('data.kind', 'growth')
            ->assertJsonPath('data.occurred_at', '2026-11-19T00:00:00Z');
        $id = $made->json('data.id');
        self::assertSame(
            ['New money', 'A second furnace'],
            array_column($this->get_("/signals?account={$this->tunhede->id}", 'listSignals')->json('data'), 'title'),
        );
        self::assertCount(1, $this->get_('/signals?kind=growth', 'listSignals')->json('data'));
        self::assertCount(1, $this->get_('/signals?since=2026-11-20T00:00:00Z', 'listSignals')->json('data'));
        // 00:00 in UTC, and a moment after it.
        foreach (['2026-11-20T02:00:00%2B02:00' => 1, '2026-11-20T02:00:01%2B02:00' => 0] as $since => $many) {
            self::assertCount($many, $this->get_("/signals?since=$since", 'listSignals')->json('data'), $since);
        }
        $this->get_("/signals/$id", 'signal')->assertJsonPath('data.title', 'A second furnace');
        $this->problem($this->asks('DELETE', "/signals/$id"), 422);
        $this->asks('DELETE', "/signals/$id?reason=Another+works")->assertNoContent();
        $this->problem($this->asks('GET', "/signals/$id"), 404);
    }

    public function test_contacts_are_read_added_and_changed_and_who_asked_to_be_left_alone_is_not_given_out(): void
    {
        $made = $this->send('POST', "/accounts/{$this->tunhede->id}/contacts", 'addContact', [
            'first_name' => 'Aud', 'last_name' => 'Moe', 'title' => 'Plant Manager', 'email' => 'aud@tunhede.example',
        ])->assertCreated()->assertJsonPath('data.channels.0.value', 'aud@tunhede.example');
        $id = $made->json('data.id');
        $this->send('POST', "/contacts/$id/channels", 'addChannel', [
            'type' => 'email', 'value' => 'a.moe@tunhede.example',
        ])
            ->assertCreated();
        $this->problem($this->asks('POST', "/contacts/$id/channels", ['type' => 'email', 'value' => 'no']), 422);
        $this->send('PATCH', "/contacts/$id", 'changeContact', ['title' => 'Head of Production'])->assertOk()
            ->assertJsonPath('data.title', 'Head of Production')->assertJsonPath('data.last_name', 'Moe');
        self::assertSame(2, Channel::query()->where('contact_id', $id)->count());
        self::assertCount(2, $this->get_("/contacts?account={$this->tunhede->id}", 'contacts')->json('data'));
        activity()->enableLogging();
        self::assertCount(1, $this->get_('/contacts?email=Nils@lovhult.example', 'contacts')->json('data'));
        $logged = Activity::query()->where('description', 'exported')->latest('id')->firstOrFail();
        self::assertStringNotContainsString('Nils', (string) json_encode($logged));

        KeepOut::factory()->create([
            'type' => 'contact', 'contact_id' => $this->ida->id, 'account_id' => $this->tunhede->id,
            'value' => 'Ida Lie', 'reason' => KeepOut::ASKED,
        ]);
        self::assertSame(
            ['Nils', 'Aud'], array_column($this->get_('/contacts', 'contacts')->json('data'), 'first_name'),
        );
        self::assertSame(['Nils', 'Aud'], array_column(
            $this->get_('/finder?on=contacts&c[0][f]=', 'find')->assertJsonPath('total', 3)->json('data'), 'first_name',
        ));
        $this->problem($this->asks('GET', "/contacts/{$this->ida->id}"), 403)
            ->assertJsonPath(
                'detail', 'They asked not to be contacted; only an admin gives out what is known of them.',
            );
        $this->problem($this->asks('PATCH', "/contacts/{$this->ida->id}", ['title' => 'X']), 403);
        $this->token = $this->person('Ada', Role::Admin)->createToken('x', ['read'])->plainTextToken;
        $this->get_("/contacts/{$this->ida->id}", 'contact')->assertJsonPath('data.first_name', 'Ida');
    }

    public function test_a_reason_an_approach_and_its_result_are_recorded_as_on_the_screens(): void
    {
        $signal = Signal::query()->value('id');
        $say = ['words' => 'Hello Ida, you raised new money.', 'channel' => 'email', 'contact' => $this->ida->id,
            'signals' => [$signal]];
        $reason = $this->send('POST', "/accounts/{$this->tunhede->id}/reasons", 'addReason', $say)->assertCreated()
            ->assertJsonPath('data.evidence.signals.0.title', 'New money')->json('data');
        $this->problem($this->asks('POST', "/accounts/{$this->tunhede->id}/reasons", ['signals' => []] + $say), 422)
            ->assertJsonPath('errors.signals.0', 'A reason rests on something: tick at least one signal or fact.');
        $this->problem($this->asks('POST', "/accounts/{$this->tunhede->id}/reasons", $say), 422);
        self::assertCount(1, $this->get_('/reasons?state=ready', 'reasons')->json('data'));
        $this->get_("/reasons/{$reason['id']}", 'reason')->assertJsonPath('data.words', $say['words']);

        $approach = $this->send('POST', "/reasons/{$reason['id']}/approaches", 'approachWithReason', [
            'kind' => 'email', 'next_step' => 'Call', 'next_step_on' => '2026-11-26',
        ])->assertCreated()->assertJsonPath('data.reason_id', $reason['id'])->json('data.id');
        self::assertCount(0, $this->get_('/reasons?state=ready', 'reasons')->json('data'));
        $this->send('PUT', "/approaches/$approach/result", 'recordResult', ['result' => 'bounced'])->assertOk()
            ->assertJsonPath('data.result', 'bounced');
        self::assertSame('invalid', Channel::query()->where('contact_id', $this->ida->id)->firstOrFail()->state->value);
        self::assertCount(1, $this->get_('/approaches?result=any', 'approaches')->json('data'));
        self::assertCount(0, $this->get_('/approaches?result=none', 'approaches')->json('data'));
        $this->send('DELETE', "/approaches/$approach/result", 'removeResult')->assertJsonPath('data.result', null);
        self::assertSame('unknown', Channel::query()->where('contact_id', $this->ida->id)->firstOrFail()->state->value);
        $this->problem($this->asks('PUT', "/approaches/$approach/result", ['result' => 'fine']), 422);
        $this->get_("/approaches/$approach", 'approach');
        $this->asks('DELETE', "/approaches/$approach")->assertNoContent();
        $this->asks('DELETE', "/reasons/{$reason['id']}")->assertNoContent();
        self::assertSame([0, 0], [Approach::query()->count(), Reason::query()->count()]);

        $this->send('POST', "/accounts/{$this->tunhede->id}/approaches", 'addApproach', [
            'kind' => 'call', 'contact' => $this->ida->id,
        ])->assertCreated()->assertJsonPath('data.reason_id', null);
        KeepOut::factory()->create(['type' => 'domain', 'value' => 'tunhede.example', 'reason' => 'a customer']);
        $this->problem($this->asks('POST', "/accounts/{$this->tunhede->id}/approaches", ['kind' => 'call']), 422)
            ->assertJsonPath('errors.kind.0', 'This approach was not recorded: they are kept out (a customer).');
    }

    public function test_lists_and_watches_are_kept_and_changed(): void
    {
        $named = $this->send('POST', '/lists', 'addList', [
            'name' => 'By hand', 'on' => 'accounts', 'members' => [$this->tunhede->id, 999],
        ])->assertCreated()->assertJsonPath('data.size', 1)->json('data.id');
        $this->problem($this->asks('POST', '/lists', ['name' => 'By hand', 'on' => 'accounts', 'members' => []]), 422);
        $other = Account::query()->where('domain', 'lovhult.example')->value('id');
        $this->send('POST', "/lists/$named/members", 'addMembers', ['members' => [$other, $this->tunhede->id]])
            ->assertExactJson(['added' => [$other]]);
        $page = $this->get_("/lists/$named/members?limit=1", 'members')->json();
        self::assertSame([$this->tunhede->id], array_column($page['data'], 'id'));
        self::assertStringContainsString('after=1&limit=1', $page['links']['next']);
        self::assertSame(['Glasverk Tunhede', 'Lövhult Kretskort'], array_column(
            $this->get_("/accounts?list=$named", 'accounts')->json('data'), 'name',
        ));
        $this->send('DELETE', "/lists/$named/members", 'removeMembers', ['members' => [$other]])
            ->assertExactJson(['removed' => [$other]]);
        $found = $this->send('POST', '/lists', 'addList', [
            'name' => 'Small', 'on' => 'accounts', 'c' => [['f' => 'headcount', 'hi' => '100']],
        ])->assertCreated()->assertJsonPath('data.size', 1);
        $this->get_('/lists/'.$found->json('data.id'), 'list');
        $this->problem($this->asks('POST', '/lists', [
            'name' => 'None', 'on' => 'accounts', 'c' => [['f' => 'headcount', 'hi' => 'many']],
        ]), 422);
        self::assertCount(2, $this->get_('/lists', 'lists')->json('data'));
        $this->asks('DELETE', "/lists/$named")->assertNoContent();
        self::assertSame(['Small'], KeptList::query()->pluck('name')->all());

        $says = ['name' => 'Small ones', 'rhythm' => 'daily', 'hour' => 6, 'time_zone' => 'UTC'];
        $watch = $this->send('POST', '/watches', 'addWatch', $says + [
            'on' => 'accounts', 'c' => [['f' => 'headcount', 'hi' => '100']],
        ])->assertCreated()->assertJsonPath('data.next_at', '2026-11-24T06:00:00Z')->json('data.id');
        $this->send('PUT', "/watches/$watch", 'changeWatch', ['hour' => 7] + $says)->assertOk()
            ->assertJsonPath('data.hour', 7);
        $this->get_("/watches/$watch/newcomers", 'newcomers')
            ->assertExactJson(['data' => [], 'links' => ['next' => null]]);
        self::assertCount(1, $this->get_('/watches', 'watches')->json('data'));
        $this->get_("/watches/$watch", 'watch');
        $this->asks('POST', "/watches/$watch/read")->assertNoContent();
        $this->asks('DELETE', "/watches/$watch")->assertNoContent();
        self::assertSame(0, Watch::query()->count());
    }

    public function test_the_plan_and_the_finder_say_what_the_screens_say(): void
    {
        $plan = $this->get_('/plan', 'plan')->json('data');
        self::assertSame('Glasverk Tunhede', $plan[0]['account']);
        self::assertSame($this->ida->id, $plan[0]['contact_id']);
        self::assertStringContainsString('Ida', $plan[0]['words']);
        $this->get_('/finder?on=accounts&c[0][f]=headcount&c[0][lo]=100', 'find')->assertJsonPath('total', 1)
            ->assertJsonPath('data.0.name', 'Glasverk Tunhede');
        $this->problem($this->asks('GET', '/finder?on=accounts&c[0][f]=headcount&c[0][lo]=many'), 422);
        $other = Offer::factory()->create(['name' => 'Another']);
        $this->problem($this->asks('GET', '/plan?offer=999'), 400)->assertJsonPath('detail', 'There is no such offer.');
        self::assertSame([], $this->asks('GET', "/lists?offer={$other->id}")->json('data'));
    }

    public function test_what_is_sent_again_under_a_key_is_done_once(): void
    {
        $say = ['name' => 'Rasktorpa', 'domain' => 'rasktorpa.example'];
        $first = $this->asks('POST', '/accounts', $say, ['HTTP_IDEMPOTENCY_KEY' => 'abc'])->assertCreated();
        $again = $this->asks('POST', '/accounts', $say, ['HTTP_IDEMPOTENCY_KEY' => 'abc'])->assertCreated();
        self::assertSame($first->getContent(), $again->getContent());
        self::assertSame($first->headers->get('Location'), $again->headers->get('Location'));
        self::assertSame(3, Account::query()->count());
        $this->problem($this->asks('POST', '/accounts', ['name' => 'Other'], ['HTTP_IDEMPOTENCY_KEY' => 'abc']), 422);
        $this->problem($this->asks('POST', '/accounts', ['name' => ''], ['HTTP_IDEMPOTENCY_KEY' => 'd']), 422);
        $this->asks('POST', '/accounts', ['name' => 'D'], ['HTTP_IDEMPOTENCY_KEY' => 'd'])->assertCreated();
    }

    /** @return array<string, array{string, string, array<string, mixed>, list<string>}> */
    public static function beyond(): array
    {
        return [
            'reading' => ['GET', '/accounts', [], ['accounts', 'contacts', 'reasons', 'lists']],
            'accounts' => ['POST', '/accounts', ['name' => 'X'], ['read', 'contacts', 'reasons', 'lists']],
            'contacts' => ['PATCH', '/contacts/IDA', ['title' => 'X'], ['read', 'accounts', 'reasons', 'lists']],
            'reasons' => [
                'POST', '/accounts/TUNHEDE/approaches', ['kind' => 'call'], ['read', 'accounts', 'contacts', 'lists'],
            ],
            'lists' => ['POST', '/lists', ['name' => 'X'], ['read', 'accounts', 'contacts', 'reasons']],
            'what sources post' => ['POST', '/signals', [], self::ALL],
        ];
    }

    /**
     * @param  array<string, mixed>  $say
     * @param  list<string>  $scopes
     */
    #[DataProvider('beyond')]
    public function test_a_token_may_no_more_than_it_says(string $method, string $path, array $say, array $scopes): void
    {
        $this->token = $this->lead->createToken('x', $scopes)->plainTextToken;
        $path = strtr($path, ['IDA' => $this->ida->id, 'TUNHEDE' => $this->tunhede->id]);
        $this->problem($this->asks($method, $path, $say), 403)
            ->assertJsonPath('detail', 'This token, or whose it is, may not do that.');
    }

    public function test_a_token_may_what_its_person_may_and_holds_as_long_as_they_sign_in(): void
    {
        $list = KeptList::factory()->create([
            'offer_id' => $this->offer->id, 'user_id' => $this->lead->id, 'name' => 'Hers', 'subject' => 'accounts',
        ]);
        $this->problem($this->asks('DELETE', "/lists/{$list->id}"), 403)->assertJsonPath(
            'detail', 'This is a list of Ylva. Nothing was changed; agree with them, or ask a lead.',
        );
        $theirs = Reason::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $this->tunhede->id, 'user_id' => $this->lead->id,
        ]);
        $this->problem($this->asks('DELETE', "/reasons/{$theirs->id}"), 403);
        // A source is nobody who reads, whatever its token says.
        $mine = $this->token;
        $this->token = Feed::factory()->create()->createToken('x', ['read'])->plainTextToken;
        $this->problem($this->asks('GET', '/accounts'), 401);
        $this->token = $mine;
        $this->rep->update(['signs_in' => false]);
        self::assertSame(0, $this->rep->tokens()->count());
        $this->problem($this->asks('GET', '/accounts'), 401)->assertHeader('WWW-Authenticate', 'Bearer');
        $this->token = $this->lead->createToken('x', ['read'], now()->addDay())->plainTextToken;
        $this->asks('GET', '/accounts')->assertOk();
        $this->at('2026-11-24T09:00:01Z');
        $this->problem($this->asks('GET', '/accounts'), 401);
    }

    public function test_problems_say_nothing_of_the_inside(): void
    {
        $this->problem($this->asks('GET', '/nowhere'), 404);
        $this->problem($this->asks('GET', '/accounts/999'), 404)
            ->assertJsonPath('detail', 'There is nothing at this address.');
        $this->problem($this->asks('PUT', '/accounts'), 405);
        $this->problem($this->asks('GET', '/accounts?limit=1000'), 422);
        app('router')->get('/api/broken', fn () => throw new \RuntimeException('SQLSTATE secret'));
        $this->problem($this->asks('GET', '/broken'), 500)->assertDontSee('secret');
    }

    public function test_nonsense_is_refused_in_a_sentence_and_what_is_not_there_is_said_to_be_not_there(): void
    {
        $nonsense = [
            null, '', [], ['x' => ['y']], -1, 1e30, "\u{0}\u{202E}", str_repeat('é', 5000), true, '2026-99-99',
        ];
        $tried = 0;
        $this->token = $this->lead->createToken('x', self::ALL)->plainTextToken;
        $this->withoutMiddleware(ThrottleRequests::class);
        foreach (get_object_vars(self::description()->paths) as $path => $methods) {
            foreach (get_object_vars($methods) as $method => $operation) {
                if (! isset($operation->security[0]->person)) {
                    continue;
                }
                $at = fn (string $id): string => (string) preg_replace('/\{\w+\}/', $id, $path);
                if ($at('1') !== $path) {
                    $this->problem($this->asks(strtoupper($method), $at('987654'), ['x' => 1]), 404);
                }
                $at = strtr($path, ['{account}' => $this->tunhede->id, '{contact}' => $this->ida->id,
                    '{signal}' => Signal::query()->value('id') ?? 1]);
                $schema = $operation->requestBody->content->{'application/json'}->schema->{'$ref'} ?? null;
                $fields = $schema === null ? ['limit', 'cursor', 'page', 'c', 'list', 'since', 'state', 'offer', 'q']
                    : array_keys((array) self::description()->components->schemas->{basename($schema)}->properties);
                foreach ($nonsense as $value) {
                    $say = array_fill_keys($fields, $value);
                    $answer = $method === 'get' ? $this->asks('GET', $at.'?'.http_build_query($say))
                        : $this->asks(strtoupper($method), $at, $say);
                    self::assertLessThan(500, $answer->status(), "$method $at ".json_encode($value).$answer->exception);
                    $tried++;
                }
            }
        }
        self::assertGreaterThan(300, $tried);
        foreach (['{', 'null', '[]', '"x"', "\xFF"] as $body) {
            self::assertSame(422, $this->call('POST', '/api/accounts', [], [], [], [
                'HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'CONTENT_TYPE' => 'application/json',
            ], $body)->status(), $body);
        }
    }

    public function test_tokens_are_made_shown_once_and_ended_and_nobody_ends_anothers(): void
    {
        $this->actingAs($this->rep)->post('/tokens', ['name' => '', 'days' => '90', 'scopes' => ['read']])
            ->assertSessionHasErrors('name');
        $this->post('/tokens', ['name' => 'Books', 'days' => '90', 'scopes' => ['all']])->assertSessionHasErrors();
        activity()->enableLogging();
        $this->post('/tokens', ['name' => 'Books', 'days' => '90', 'scopes' => ['read', 'lists']])
            ->assertRedirect('/tokens');
        $token = (string) session('token');
        self::assertSame('token made', Activity::query()->latest('id')->value('description'));
        $this->get('/tokens')->assertSeeText($token)->assertSeeText('read what you may read; write lists and watches')
            ->assertSeeText('holds until 21 February 2027')->assertSeeText('never used');
        $this->get('/tokens')->assertDontSeeText($token);
        $id = (int) $token;
        $this->actingAs($this->lead)->delete("/tokens/$id")->assertNotFound();
        $this->token = $token;
        $this->asks('GET', '/accounts')->assertOk();
        $this->actingAs($this->rep)->delete("/tokens/$id")->assertRedirect('/tokens');
        $this->problem($this->asks('GET', '/accounts'), 401);
    }

    /** A GET whose answer is what the description says of an operation. */
    private function get_(string $path, string $operation): TestResponse
    {
        $answer = $this->asks('GET', $path)->assertOk();
        $this->describes($operation, $answer);

        return $answer;
    }

    /**
     * What is sent and what comes back are what the description says.
     *
     * @param  array<string, mixed>  $say
     * @param  array<string, string|null>  $headers
     */
    private function send(
        string $method,
        string $path,
        string $operation,
        array $say = [],
        array $headers = [],
    ): TestResponse {
        if ($say !== []) {
            $this->fits((object) ['$ref' => $this->operation($operation)->requestBody->content->{'application/json'}
                ->schema->{'$ref'}], json_decode((string) json_encode($say)), "$operation, sent");
        }
        $answer = $this->asks($method, $path, $say, $headers);
        if ($answer->isSuccessful()) {
            $this->describes($operation, $answer);
        }

        return $answer;
    }

    private function describes(string $operation, TestResponse $answer): void
    {
        $said = $this->operation($operation)->responses->{(string) $answer->getStatusCode()} ?? null;
        self::assertNotNull($said, "$operation may answer {$answer->getStatusCode()}");
        $this->fits(
            $said->content->{'application/json'}->schema, json_decode((string) $answer->getContent()), $operation,
        );
    }

    private function problem(TestResponse $answer, int $status): TestResponse
    {
        $answer->assertStatus($status)->assertHeader('Content-Type', 'application/problem+json');
        $this->fits((object) ['$ref' => '#/components/schemas/Problem'], json_decode((string) $answer->getContent()),
            'a problem');

        return $answer->assertJsonPath('status', $status);
    }

    private function fits(object $schema, mixed $value, string $what): void
    {
        $whole = (object) ((array) clone $schema + ['components' => self::description()->components]);
        $error = (new Validator)->validate($value, $whole)->error();
        self::assertNull($error, "$what: ".$error?->message().' '.implode('; ', array_map(
            fn ($one): string => implode('.', $one->data()->fullPath()).' '.$one->message(), $error?->subErrors() ?? [],
        )));
    }

    private function operation(string $id): object
    {
        foreach (self::description()->paths as $methods) {
            foreach (get_object_vars($methods) as $operation) {
                if ($operation->operationId === $id) {
                    return $operation;
                }
            }
        }
        self::fail("No operation $id is described.");
    }

    private static function description(): object
    {
        return json_decode((string) file_get_contents(base_path('docs/openapi.json')));
    }

    /**
     * @param  array<string, mixed>  $say
     * @param  array<string, string|null>  $headers
     */
    private function asks(string $method, string $path, array $say = [], array $headers = []): TestResponse
    {
        app('auth')->forgetGuards();
        $answer = $this->call($method, "/api$path", [], [], [], array_filter($headers) + [
            'HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'CONTENT_TYPE' => 'application/json',
            'HTTP_ACCEPT' => 'application/json',
        ], $method === 'GET' || $say === [] ? '' : (string) json_encode($say));
        app('auth')->shouldUse('web');

        return $answer;
    }
}
