<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\PrivateAddress;
use App\Models\Reason;
use App\Standings\Standings;
use Tests\TestCase;

/** Words as files for other programs, a call sheet, and next steps as a calendar. */
final class WaysTest extends TestCase
{
    private Account $account;

    private Contact $pernille;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->pernille = Contact::query()->sole();
        Channel::query()->delete();
        Channel::factory()->create(['contact_id' => $this->pernille->id, 'value' => 'pernille@tunhede.example']);
        Channel::factory()->create([
            'contact_id' => $this->pernille->id, 'type' => 'direct_phone', 'value' => '+45 70 00 00 01',
        ]);
        (new Standings)->all();
        $this->actingAs($this->rep);
    }

    public function test_a_draft_is_a_mail_that_was_not_sent(): void
    {
        $file = $this->get(route('accounts.mail', [$this->account, 'contact' => $this->pernille->id]))->assertOk()
            ->assertHeader('Content-Type', 'message/rfc822');
        self::assertStringContainsString('.eml"', (string) $file->headers->get('Content-Disposition'));
        $text = (string) $file->getContent();
        self::assertMatchesRegularExpression('/^X-Unsent: 1\r$/m', $text);
        self::assertMatchesRegularExpression('/^To: .*<?pernille@tunhede\.example>?\r$/m', $text);
        self::assertMatchesRegularExpression('/^Subject: \S/m', $text);
        self::assertStringContainsString("\r\n\r\nHello {$this->pernille->first_name}", $text);
        // On the account the file, the card and the call sheet stand beside the words.
        $this->get(route('accounts.show', $this->account))->assertSee('mail.eml')->assertSee('card.vcf')
            ->assertSeeText('Call sheet');
    }

    public function test_a_reason_is_a_mail_in_its_own_words_and_a_subject_breaks_no_header(): void
    {
        $reason = Reason::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'contact_id' => $this->pernille->id,
            'user_id' => $this->rep->id, 'words' => 'Hallo Pernille, wo messen Sie die Luft für Öfen?',
            'evidence' => ['signals' => [['id' => 1, 'kind' => 'news', 'title' => "Ofen\r\nBcc: x@y.example"]]],
        ]);
        $text = (string) $this->get(route('reasons.mail', $reason))->assertOk()->getContent();
        self::assertDoesNotMatchRegularExpression('/^Bcc:/m', $text);
        self::assertStringContainsString('wo messen Sie die Luft f', quoted_printable_decode($text));
        KeepOut::query()->create([
            'type' => 'contact', 'contact_id' => $this->pernille->id, 'value' => 'x', 'reason' => 'asked',
            'account_id' => $this->account->id, 'user_id' => $this->lead->id,
        ]);
        $this->get(route('reasons.mail', $reason))->assertNotFound();
        $this->get(route('accounts.mail', [$this->account, 'contact' => $this->pernille->id]))->assertNotFound();
    }

    public function test_next_steps_are_a_calendar_at_a_private_address(): void
    {
        $step = fn (array $more): Approach => Approach::factory()->create($more + [
            'offer_id' => $this->offer->id, 'account_id' => $this->account->id, 'contact_id' => $this->pernille->id,
            'user_id' => $this->rep->id, 'made_at' => '2026-11-20T09:00:00Z',
        ]);
        $step(['next_step' => 'Call, and ask; again', 'next_step_on' => '2026-11-26']);
        $step(['next_step' => 'Answered', 'next_step_on' => '2026-11-27', 'result' => 'meeting']);
        $step(['result' => 'later', 'later_on' => '2027-03-01']);
        $step(['next_step' => 'Theirs', 'next_step_on' => '2026-11-28', 'user_id' => $this->lead->id]);
        $this->post(route('pace.address'))->assertRedirect(route('pace.edit'));
        $address = (string) session('address');
        $this->get(route('pace.edit'))->assertSee($address)->assertSeeText('Your day begins at midnight in UTC');
        auth()->logout();
        $calendar = (string) $this->get($address)->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=UTF-8')->getContent();
        self::assertSame(2, substr_count($calendar, 'BEGIN:VEVENT'));
        self::assertStringContainsString('DTSTART;VALUE=DATE:20261126', $calendar);
        self::assertStringContainsString('DTSTART;VALUE=DATE:20270301', $calendar);
        $lines = str_replace("\r\n ", '', $calendar);
        self::assertStringContainsString('SUMMARY:Call\, and ask\; again: '.$this->pernille->name(), $lines);
        self::assertStringNotContainsString('Theirs', $calendar);
        self::assertStringNotContainsString('Answered', $calendar);
        PrivateAddress::end($this->rep, PrivateAddress::STEPS);
        $this->get($address)->assertNotFound();
        $this->get(route('steps', str_repeat('a', 40)))->assertNotFound();
    }
}
