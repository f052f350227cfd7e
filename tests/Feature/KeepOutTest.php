<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\ApproachKind;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Result;
use App\Models\Role;
use App\Reasons\RecordApproach;
use App\Reasons\RecordResult;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Whoever is kept out stays out, by whatever door. */
final class KeepOutTest extends TestCase
{
    private const PEOPLE = "domain;first name;last name;title;email;email state\n"
        ."tunhede.example;Olav;Brekke;Plant Manager;olav@tunhede.example;valid\n";

    #[TestWith(['2026-11-01', 'on holiday'])]
    #[TestWith(['2026-12-24', 'on holiday'])]
    #[TestWith([null, 'left the position'])]
    public function test_who_asks_to_be_left_alone_is_out_for_good_whatever_entry_was_there(
        ?string $until,
        string $because,
    ): void {
        $contact = $this->contact();
        KeepOut::factory()->create([
            'type' => 'contact', 'value' => 'Pernille', 'contact_id' => $contact->id, 'reason' => $because,
            'until' => $until,
        ]);
        $this->comesOf($contact, Result::Stop);
        $entry = KeepOut::query()->sole();
        self::assertSame(['asked not to be contacted', null], [$entry->reason, $entry->until]);
        $this->comesOf($contact, Result::Left);
        self::assertSame(
            'asked not to be contacted',
            KeepOut::query()->sole()->reason,
            'what they asked is not overwritten',
        );
    }

    public function test_an_entry_outlives_the_file_that_brought_the_person(): void
    {
        $this->contact();
        $intake = $this->bring(IntakeKind::Contacts, self::PEOPLE);
        $olav = Contact::query()->where('first_name', 'Olav')->sole();
        $this->actingAs($this->rep)
            ->post(route('keep-out.store'), ['contact' => $olav->id, 'reason' => 'asked not to be contacted'])
            ->assertRedirect();
        $this->post(route('intake.undo', $intake))->assertRedirect();
        $this->bring(IntakeKind::Contacts, self::PEOPLE);
        self::assertTrue(EntriesInForce::now()->asked(Contact::query()->where('first_name', 'Olav')->sole()->id));
    }

    public function test_an_address_that_is_kept_out_is_not_written_to_and_leaves_in_no_file(): void
    {
        $contact = $this->contact();
        KeepOut::factory()->create([
            'type' => 'address', 'value' => 'pernille@tunhede.example', 'reason' => 'said so on the phone',
        ]);
        $send = fn (string $kind) => $this->actingAs($this->rep)->post(
            route('accounts.approach', $contact->account_id),
            ['kind' => $kind, 'contact' => $contact->id, 'words' => 'Good morning, you seek planners.'],
        );
        $send('email')->assertSessionHasErrors(
            ['kind' => 'This approach was not recorded: they are kept out (said so on the phone).'],
        );
        $send('call')->assertSessionHasNoErrors();
        $csv = $this->export('csv');
        self::assertStringContainsString('Askov-Rye', $csv);
        self::assertStringContainsString('said so on the phone', $csv);
        self::assertStringNotContainsString('pernille@', $csv);
        self::assertStringNotContainsString('pernille@', $this->export('vcf'));
        Channel::factory()->create(
            ['contact_id' => $contact->id, 'type' => 'email', 'value' => 'p.askov@tunhede.example', 'state' => 'valid'],
        );
        $send('email')->assertSessionHasNoErrors();
        self::assertStringContainsString('p.askov@tunhede.example', $this->export('csv'));
    }

    public function test_who_asked_leaves_by_no_door_but_an_admins(): void
    {
        $contact = $this->contact();
        self::assertStringContainsString('Askov-Rye', $this->export('csv'));
        $this->comesOf($contact, Result::Stop);
        foreach (['csv', 'vcf', 'jsonl'] as $format) {
            self::assertStringNotContainsString('Askov-Rye', $this->export($format), $format);
        }
        $card = route('contacts.card', $contact);
        $this->actingAs($this->lead)->get($card)->assertForbidden();
        $this->actingAs($this->person('Ada', Role::Admin))->get($card)->assertOk();
    }

    public function test_an_account_that_is_kept_out_says_so_where_it_leaves(): void
    {
        $contact = $this->contact();
        self::assertStringContainsString('Askov-Rye', $this->export('vcf'));
        KeepOut::factory()->create(['type' => 'domain', 'value' => 'tunhede.example', 'reason' => 'a partner of ours']);
        self::assertStringContainsString('a partner of ours', $this->export('csv'));
        self::assertStringNotContainsString('Askov-Rye', $this->export('vcf'), 'a card has no place to say it');
        $accounts = $this->actingAs($this->rep)
            ->get(route('finder.export', ['format' => 'csv', 'on' => 'accounts', 'c' => ['']]))->streamedContent();
        self::assertStringContainsString('a partner of ours', $accounts);
        self::assertSame(1, Account::query()->whereKey($contact->account_id)->count());
    }

    private function contact(): Contact
    {
        return $this->tunhede()->contacts()->firstOrFail();
    }

    private function comesOf(Contact $contact, Result $result): void
    {
        $done = ['kind' => ApproachKind::Email, 'next_step' => null, 'next_step_on' => null];
        $approach = RecordApproach::record($done, $this->offer, $contact->account, $contact, $this->rep, null);
        RecordResult::record($approach, $result, $this->rep);
    }

    private function export(string $format): string
    {
        return $this->actingAs($this->rep)
            ->get(route('finder.export', ['format' => $format, 'on' => 'contacts', 'c' => ['']]))->assertOk()
            ->streamedContent();
    }
}
