<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\FeedRun;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\Signal;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What sources post. */
final class WebhookTest extends TestCase
{
    private Feed $feed;

    private string $token = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bring(IntakeKind::Accounts, "domain;name;headcount\ntunhede.example;Glasverk Tunhede;420\n");
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;email\ntunhede.example;Ida;Lie;ida@tunhede.example\n",
        );
        $this->feed = Feed::factory()->create(['name' => 'Our pages', 'format' => Feed::WEBHOOK, 'address' => '']);
        $this->token = $this->feed->createToken('x', ['signals', 'facts'])->plainTextToken;
    }

    public function test_events_become_signals_and_the_same_event_is_taken_once(): void
    {
        $events = [
            $this->event('1', 'own_engagement', [
                'email' => 'IDA@tunhede.example', 'deed' => 'asked', 'title' => 'Asked',
            ]),
            $this->event('2', 'topic_interest', [
                'domain' => 'www.tunhede.example', 'strength' => .4, 'topic' => 'leaks',
            ]),
        ];
        $this->post_('signals', $events)->assertStatus(202)
            ->assertExactJson(['accepted' => 2, 'known' => 0, 'refused' => []]);
        self::assertSame(
            [['own_engagement', 'Ida Lie: asked', 1.0, .9], ['topic_interest', 'Reads about leaks', .4, .9]],
            Signal::query()->orderBy('kind')->get()
                ->map(fn (Signal $one): array => [$one->kind->value, $one->title, $one->strength, $one->confidence])
                ->all(),
        );
        $this->post_('signals', $events)->assertExactJson(['accepted' => 0, 'known' => 2, 'refused' => []]);
        // The same id of another source is another event.
        $this->post_('signals', ['source' => '/other'] + $events[0])->assertJson(['accepted' => 1]);
        self::assertSame([3, 3, 1], [Signal::query()->count(), FeedItem::query()->count(), FeedRun::query()->count()]);
        $counts = FeedRun::query()->sole()->only('came', 'created', 'same', 'signals');
        self::assertSame([5, 3, 2, 3], array_values($counts));
    }

    public function test_looks_are_counted_by_person_and_day_and_never_quoted(): void
    {
        $look = fn (string $id, string $time, string $who): array => $this->event($id, 'own_engagement', [
            'domain' => 'tunhede.example', 'deed' => 'visit', 'quote' => 'secret page',
            'link' => 'https://us.example/a',
        ] + ($who === '' ? [] : ['email' => $who]), $time);
        $this->post_('signals', [
            $look('1', '2026-11-23T07:00:00Z', ''), $look('2', '2026-11-23T07:10:00Z', ''),
            $look('3', '2026-11-23T07:20:00Z', 'ida@tunhede.example'), $look('4', '2026-11-22T07:00:00Z', ''),
        ])->assertJson(['accepted' => 4]);
        $this->post_('signals', $look('5', '2026-11-23T08:00:00Z', ''))->assertJson(['accepted' => 1]);
        self::assertEqualsCanonicalizing(
            ['Looked at 3 pages of ours', 'Looked at a page of ours', 'Ida Lie: looked at a page of ours'],
            Signal::query()->pluck('title')->all(),
        );
        self::assertSame([null], array_values(array_unique(Signal::query()->pluck('quote')->all())));
        self::assertSame([null], array_values(array_unique(Signal::query()->pluck('link')->all())));
        self::assertSame([.4], array_values(array_unique(Signal::query()->pluck('strength')->all())));
    }

    public function test_facts_are_taken_in_as_a_file_would_be_and_can_be_undone(): void
    {
        $facts = $this->event('1', 'account', [
            'domain' => 'tunhede.example', 'headcount' => 510, 'technologies' => ['Vedliko Plan'],
            'founded' => 'long ago',
        ]);
        $this->post_('facts', [$facts, $this->event('2', 'account', ['domain' => 'new.example', 'headcount' => 5])])
            ->assertStatus(202);
        $account = Account::query()->where('domain', 'tunhede.example')->firstOrFail();
        self::assertSame([510, ['Vedliko Plan']], [
            $account->headcount, $account->technologies()->pluck('name')->all(),
        ]);
        self::assertSame([
            'It is as it says. Left empty, since it cannot be read: founded.',
            'The name is missing, and no account has this domain yet.',
        ], FeedItem::query()->orderBy('id')->pluck('why')->all());
        $intake = Intake::query()->where('name', 'Our pages, 2026-11-23')->sole();
        $this->actingAs($this->lead)->post("/intake/{$intake->id}/undo")->assertRedirect();
        self::assertSame(420, $account->refresh()->headcount);
    }

    /** @return array<string, array{mixed, string}> */
    public static function wrong(): array
    {
        $event = [
            'specversion' => '1.0', 'id' => '1', 'source' => '/s', 'type' => 'x.news',
            'data' => ['domain' => 'a.example'],
        ];

        return [
            'another version' => [['specversion' => '0.3'] + $event, 'specversion is “1.0”.'],
            'no id' => [['id' => ''] + $event, 'id is a text, and not empty.'],
            'a number for an id' => [['id' => 7] + $event, 'id is a text, and not empty.'],
            'no source' => [array_diff_key($event, ['source' => 0]), 'source is a text, and not empty.'],
            'no data' => [['data' => 'x'] + $event, 'data is an object.'],
            'no such kind' => [['type' => 'x.wedding'] + $event, 'type ends in a kind of signal: x.wedding does not.'],
            'nobody' => [
                ['data' => ['title' => 'x']] + $event,
                'data names no account: a domain, or the e-mail address or profile of a person.',
            ],
            'no time' => [['time' => 'soon-ish'] + $event, 'time is one as in 2026-11-23T09:00:00Z.'],
            'too strong' => [
                ['data' => ['domain' => 'a.example', 'strength' => 2]] + $event, 'strength lies between 0 and 1.',
            ],
            'no event at all' => ['x', 'An event is an object.'],
        ];
    }

    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_refused_in_a_sentence_and_the_rest_is_taken(mixed $event, string $says): void
    {
        $good = $this->event('good', 'news', ['domain' => 'tunhede.example', 'title' => 'In the press']);
        $told = $this->post_('signals', [$event, $good])->assertStatus(202)->assertJson(['accepted' => 1])
            ->json('refused');
        self::assertSame([[0, $says]], array_map(fn (array $one): array => [$one['at'], $one['why']], $told));
        if (is_array($event)) {
            $this->post_('signals', $event)->assertStatus(422);
        }
    }

    public function test_a_token_is_needed_and_holds_for_what_it_is_made_for(): void
    {
        $event = $this->event('1', 'news', ['domain' => 'tunhede.example', 'title' => 'x']);
        $this->postJson('/api/signals', $event)->assertUnauthorized();
        $this->withToken('luftig_nonsense')->postJson('/api/signals', $event)->assertUnauthorized();
        $this->actingAs($this->lead)->flushHeaders()->postJson('/api/signals', $event)->assertUnauthorized();
        $only = $this->feed->createToken('x', ['facts'])->plainTextToken;
        app('auth')->forgetGuards();
        $this->withToken($only)->postJson('/api/signals', $event)->assertForbidden();
        $this->post_('signals', '{')->assertStatus(400)->assertHeader('Content-Type', 'application/problem+json');
        $this->post_('signals', array_fill(0, 1001, $event))->assertStatus(413);
        self::assertSame(0, Signal::query()->count());
        $this->feed->tokens()->delete();
        $this->post_('signals', $event)->assertUnauthorized();
    }

    public function test_a_lead_lets_a_source_post_and_takes_the_token_away(): void
    {
        $form = ['name' => 'Traces', 'confidence' => '80 %', 'scopes' => ['signals']];
        $this->actingAs($this->rep)->post('/webhooks', $form)->assertForbidden();
        $this->actingAs($this->lead)->post('/webhooks', ['scopes' => []] + $form)
            ->assertSessionHasErrors(['scopes']);
        $page = $this->followingRedirects()->post('/webhooks', $form)->assertOk()->assertSeeText('shown this once');
        preg_match('~<code[^>]*>(luftig_|\d+\|)(\S+)</code>~', (string) $page->getContent(), $token);
        $feed = Feed::query()->where('name', 'Traces')->sole();
        self::assertSame(.8, $feed->confidence);
        $this->get("/feeds/{$feed->id}")->assertOk()->assertDontSeeText($token[2])
            ->assertSeeText('signals · not used yet');
        $this->get("/feeds/{$feed->id}/edit")->assertNotFound();
        $this->delete("/feeds/{$feed->id}/tokens/".$feed->tokens()->value('id'))->assertRedirect();
        self::assertSame(0, $feed->tokens()->count());
    }

    public function test_the_description_says_what_the_routes_do(): void
    {
        $description = json_decode((string) file_get_contents(base_path('docs/openapi.json')));
        $described = [];
        foreach ($description->paths as $path => $methods) {
            foreach (get_object_vars($methods) as $method => $operation) {
                $described[strtoupper($method).' api'.$path] = (array) ($operation->security[0]->token
                    ?? $operation->security[0]->person ?? []);
            }
        }
        $there = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $abilities = array_filter(
                    $route->gatherMiddleware(),
                    fn ($one) => str_starts_with((string) $one, 'ability:'),
                );
                $there[$route->methods()[0].' '.$route->uri()] = array_values(
                    array_map(fn (string $one): string => substr($one, 8), $abilities),
                );
            }
        }
        ksort($described);
        ksort($there);
        self::assertSame($there, $described);
        // Its examples hold to its own schemas, and do what they say.
        $validator = new Validator;
        foreach (['signals' => 'SignalEvent', 'facts' => 'FactEvent'] as $path => $schema) {
            $content = $description->paths->{"/$path"}->post->requestBody->content;
            $example = $content->{'application/cloudevents+json'}->example;
            $whole = (object) ['$ref' => "#/components/schemas/$schema", 'components' => $description->components];
            self::assertTrue($validator->validate($example, $whole)->isValid(), $schema);
            $this->post_($path, (array) json_decode((string) json_encode($example), true))->assertStatus(202)
                ->assertJson(['accepted' => 1]);
        }
        $this->flushHeaders()->get('/api/openapi.json')->assertOk();
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function event(string $id, string $kind, array $data, string $time = '2026-11-23T08:00:00Z'): array
    {
        return [
            'specversion' => '1.0', 'id' => $id, 'source' => '/pages', 'type' => "example.$kind", 'time' => $time,
            'data' => $data,
        ];
    }

    /** @param  array<mixed>|string  $json */
    private function post_(string $path, array|string $json): TestResponse
    {
        app('auth')->forgetGuards();

        $answer = $this->call('POST', "/api/$path", [], [], [], [
            'HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'CONTENT_TYPE' => 'application/cloudevents+json',
            'HTTP_ACCEPT' => 'application/json',
        ], is_string($json) ? $json : (string) json_encode($json));
        app('auth')->shouldUse('web');

        return $answer;
    }
}
