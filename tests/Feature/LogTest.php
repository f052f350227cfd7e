<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\EraseContact;
use App\Models\Contact;
use App\Models\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Spatie\Activitylog\Models\Activity;
use Tests\TestCase;

/** Who did what and when: read by leads, changed by nobody. */
final class LogTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        activity()->enableLogging();
    }

    public function test_leads_read_who_changed_what_from_what_to_what(): void
    {
        $this->actingAs($this->rep)->get('/log')->assertForbidden();
        $this->patch(route('pace.update'), ['pace' => '12']);
        $account = $this->tunhede();
        $contact = Contact::query()->sole();
        $this->patch(route('contacts.update', $contact), [
            'first_name' => 'Pernille', 'last_name' => 'Askov-Rye', 'title' => 'Plant Manager',
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->lead);
        $page = $this->get('/log')->assertOk()->assertSeeText('pace: 20 → 12')->assertSeeText('Mira');
        $page->assertSeeText('title: Head of Maintenance → Plant Manager')->assertSee(route('contacts.show', $contact));
        $this->get('/log?words=plant')->assertSeeText('Plant Manager')->assertDontSeeText('pace: 20');
        $this->get('/log?words='.rawurlencode('100%'))->assertSeeText('Nothing like that stands in the log.');
        $this->get("/log?by={$this->lead->id}")->assertDontSeeText('pace: 20');
        $this->get("/log?by={$this->rep->id}")->assertSeeText('pace: 20 → 12');
        $this->get('/log?since=2026-11-24')->assertSeeText('Nothing like that');
        $this->get('/log?since=2026-11-23')->assertSeeText('pace: 20 → 12');
        $this->get('/log?since=yesterday')->assertSeeText('pace: 20 → 12');
        $this->get(route('team.index'))->assertSee(route('log'));
        self::assertNotNull($account->id);
    }

    public function test_who_wanted_what_they_may_not_stands_there_once_a_minute_without_what_they_sent(): void
    {
        $refused = fn (): array => Activity::query()->where('description', 'was refused')->orderBy('id')->get()
            ->map(fn (Activity $one): array => [$one->causer_id, $one->properties['attributes']['asked'] ?? ''])->all();
        $this->actingAs($this->rep)->get('/team?secret=swordfish')->assertForbidden();
        $this->get('/team?secret=swordfish')->assertForbidden();
        $this->get('/status')->assertForbidden();
        $this->get('/no-such-page')->assertNotFound();
        $this->get('/lists')->assertOk();
        self::assertSame([[$this->rep->id, 'GET /team'], [$this->rep->id, 'GET /status']], $refused());
        $this->at('2026-11-23T09:01:01Z');
        $this->get('/team')->assertForbidden();
        self::assertCount(3, $refused(), 'and again after a minute');
        $token = $this->lead->createToken('x', ['read'])->plainTextToken;
        $this->postJson('/api/accounts', [], ['Authorization' => "Bearer $token"])->assertForbidden();
        self::assertSame([$this->lead->id, 'POST /api/accounts'], $refused()[3]);
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/accounts')->assertUnauthorized();
        self::assertCount(4, $refused(), 'nobody is nobody');
        $this->actingAs($this->lead, 'web')->get('/log')->assertSeeText('was refused')
            ->assertSeeText('asked: GET /team')->assertDontSeeText('swordfish');
    }

    #[TestWith(['update activity_log set description = "something else"'])]
    #[TestWith(['delete from activity_log'])]
    public function test_nobody_changes_a_line_or_takes_one_out(string $statement): void
    {
        activity()->performedOn($this->rep)->log('was here');
        try {
            DB::statement($statement);
            self::fail('It was let through.');
        } catch (QueryException $e) {
            self::assertStringContainsString('The log only grows.', $e->getMessage());
        }
        self::assertContains('was here', Activity::query()->pluck('description')->all());
    }

    public function test_whoever_is_erased_is_out_of_it_and_then_it_only_grows_again(): void
    {
        $this->tunhede();
        $contact = Contact::query()->sole();
        activity()->performedOn($contact)->withProperties(['attributes' => ['title' => 'x']])->log('updated');
        activity()->withProperties(['attributes' => ['about' => 'Pernille Askov-Rye knows']])->log('a remark');
        $this->person('Berit', Role::Admin);
        EraseContact::erase($contact, $this->lead);
        $log = (string) json_encode(Activity::query()->get(), JSON_UNESCAPED_UNICODE);
        self::assertStringNotContainsString('Askov-Rye', $log);
        self::assertStringContainsString('a remark', $log);
        $this->expectException(QueryException::class);
        DB::table('activity_log')->delete();
    }
}
