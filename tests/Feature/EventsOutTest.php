<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exports\MessageSignature;
use App\Jobs\SendAnnouncements;
use App\Models\Approach;
use App\Models\EventDelivery;
use App\Models\EventTarget;
use App\Models\KeepOut;
use App\Models\Reason;
use App\Models\Result;
use App\Reasons\RecordResult;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\TestCase;

/** Programs of the team's are told of new reasons and results. */
final class EventsOutTest extends TestCase
{
    /** Public, so that it may be asked; nothing is sent there. */
    private const ADDRESS = 'https://93.184.215.14/events';

    public function test_signatures_are_those_of_the_standard(): void
    {
        // RFC 9421, B.2.5 and the shared secret of B.1.5.
        $secret = (string) base64_decode(
            'uzvJfB4u3N0Jy4T7NZ75MDVcr8zSTInedJtkgcu46YW4XByzNJjxBdtjUkdJPBtbmHhIDi6pcl8jsasjlTMtDQ==', true,
        );
        self::assertSame('pxcQw6G3AjtMBQjwo8XzkZf/bws5LelbaMk5rGIGtE8=', MessageSignature::sign([
            'date' => 'Tue, 20 Apr 2021 02:07:55 GMT', '@authority' => 'example.com',
            'content-type' => 'application/json',
        ], '("date" "@authority" "content-type");created=1618884473;keyid="test-shared-secret"', $secret));
    }

    public function test_a_reason_and_its_result_are_told_signed_and_once(): void
    {
        Http::fake(['*' => Http::response('', 204)]);
        $target = EventTarget::factory()->create(['address' => self::ADDRESS]);
        EventTarget::factory()->create(['address' => 'https://93.184.215.14/paused', 'paused' => true]);
        $approach = $this->approached();
        RecordResult::record($approach, Result::Interested, $this->rep);
        Http::assertSentCount(2);
        [[$reason], [$result]] = Http::recorded();
        $told = $reason->data();
        self::assertSame(
            ['1.0', 'luftig.reason', 'Hello Pernille, you raised new money.', 'Pernille Askov-Rye', 'Mira'],
            [$told['specversion'], $told['type'], $told['data']['words'], $told['data']['contact']['name'],
                $told['data']['by']],
        );
        self::assertSame(
            ['luftig.result', 'interested', '2026-11-23T09:00:00Z'],
            [$result['type'], $result['data']['result'], $result['data']['result_at']],
        );
        $this->isSigned($reason, (string) $target->secret);
        self::assertStringNotContainsString('Pernille', (string) json_encode(DB::table('event_deliveries')->get()));
        SendAnnouncements::dispatch();
        Http::assertSentCount(2);
    }

    public function test_who_does_not_answer_is_told_again_after_pauses_that_grow_and_in_the_end_no_more(): void
    {
        Http::fake(['*' => Http::response('', 503)]);
        $target = EventTarget::factory()->create(['address' => self::ADDRESS]);
        $this->approached();
        $waits = [];
        for ($try = 0; $try < 8; $try++) {
            $delivery = EventDelivery::query()->sole();
            $waits[] = $delivery->next_at === null ? null : (int) now()->diffInMinutes($delivery->next_at);
            if ($delivery->next_at !== null) {
                $this->at($delivery->next_at->toIso8601ZuluString());
                SendAnnouncements::dispatch();
            }
        }
        self::assertSame([1, 5, 30, 120, 360, 1440, null, null], $waits);
        Http::assertSentCount(7);
        $this->actingAs($this->lead)->get('/team/events')->assertSeeText('1 given up after seven tries')
            ->assertSeeText('It answers 503.');
        $this->post("/team/events/{$target->id}/again")->assertRedirect();
        Http::assertSentCount(8);
    }

    public function test_what_was_taken_back_is_told_to_nobody_and_who_asked_to_be_left_alone_is_a_number(): void
    {
        $target = EventTarget::factory()->create(['address' => self::ADDRESS, 'paused' => true]);
        Http::fake(['*' => Http::response('', 200)]);
        $approach = $this->approached();
        $target->update(['paused' => false]);
        RecordResult::record($approach, Result::Stop, $this->rep);
        [[$told]] = Http::recorded();
        self::assertSame(['id' => $approach->contact_id], $told->data()['data']['contact']);
        self::assertTrue(KeepOut::query()->where('reason', KeepOut::ASKED)->exists());

        EventDelivery::query()->create([
            'event_target_id' => $target->id, 'type' => 'result', 'subject_id' => $approach->id, 'next_at' => now(),
        ]);
        RecordResult::undo($approach->refresh());
        SendAnnouncements::dispatch();
        Http::assertSentCount(1);
        self::assertSame(1, EventDelivery::query()->where('state', EventDelivery::VOID)->count());
    }

    public function test_targets_are_for_leads_and_lead_nowhere_inside(): void
    {
        $this->actingAs($this->rep)->get('/team/events')->assertForbidden();
        $this->post('/team/events', ['name' => 'x', 'address' => self::ADDRESS])->assertForbidden();
        $this->actingAs($this->lead)->post('/team/events', ['name' => 'Inside', 'address' => 'http://127.0.0.1/x'])
            ->assertSessionHasErrors('address');
        $this->post('/team/events', ['name' => 'Books', 'address' => self::ADDRESS])->assertSessionHasNoErrors();
        $secret = (string) session('secret');
        self::assertSame(40, strlen($secret));
        $this->get('/team/events')->assertSeeText($secret);
        $this->get('/team/events')->assertDontSeeText($secret)->assertSeeText('nothing to tell yet');
        self::assertStringNotContainsString($secret, (string) DB::table('event_targets')->value('secret'));
        $target = EventTarget::query()->sole();
        $this->patch("/team/events/{$target->id}")->assertRedirect();
        self::assertTrue($target->refresh()->paused);
        $this->delete("/team/events/{$target->id}")->assertRedirect();
        self::assertSame(0, EventTarget::query()->count());
    }

    private function approached(): Approach
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        $this->actingAs($this->rep)->post(route('reasons.store', $account), [
            'words' => 'Hello Pernille, you raised new money.', 'contact' => $contact->id,
            'signals' => [$account->signals()->where('kind', 'funding')->value('id')],
        ])->assertSessionHasNoErrors();
        $this->post(route('approaches.store', Reason::query()->value('id')), ['kind' => 'email']);

        return Approach::query()->sole();
    }

    /** As whoever is told would look at it. */
    private function isSigned(Request $request, string $secret): void
    {
        $digest = 'sha-256=:'.base64_encode(hash('sha256', $request->body(), true)).':';
        self::assertSame([$digest], $request->header('Content-Digest'));
        $input = substr($request->header('Signature-Input')[0], strlen('luftig='));
        self::assertSame('("@method" "@target-uri" "content-type" "content-digest");created=1795424400;keyid="luftig"'
            .';alg="hmac-sha256"', $input);
        $base = "\"@method\": POST\n\"@target-uri\": ".self::ADDRESS."\n\"content-type\": "
            ."{$request->header('Content-Type')[0]}\n\"content-digest\": $digest\n\"@signature-params\": $input";
        self::assertSame(
            'luftig=:'.base64_encode(hash_hmac('sha256', $base, $secret, true)).':', $request->header('Signature')[0],
        );
    }
}
