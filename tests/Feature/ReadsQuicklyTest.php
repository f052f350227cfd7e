<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use Carbon\CarbonImmutable;
use Luftig\Core\Reach\AddressState;
use Tests\TestCase;
use ValueError;

/** A record reads as Eloquent reads it, however often and whatever was read before. */
final class ReadsQuicklyTest extends TestCase
{
    public function test_what_is_set_anew_is_read_anew(): void
    {
        $contact = Contact::factory()->create(['first_name' => 'Ada', 'by_hand' => ['city']]);
        foreach ([['Ada', ['city']], ['Bo', ['title', 'city']], ['', null]] as [$name, $byHand]) {
            $contact->fill(['first_name' => $name, 'by_hand' => $byHand]);
            self::assertSame([$name, $byHand], [$contact->first_name, $contact->by_hand]);
        }
        $contact->seen_at = CarbonImmutable::parse('2026-03-01 10:00');
        self::assertSame('2026-03-01', $contact->seen_at->toDateString());
        $contact->seen_at = CarbonImmutable::parse('2026-04-02 10:00');
        self::assertSame('2026-04-02', $contact->seen_at->toDateString());
        $contact->setRawAttributes(['seen_at' => '2026-05-03 00:00:00'] + $contact->getAttributes());
        self::assertSame('2026-05-03', $contact->seen_at->toDateString());
    }

    public function test_numbers_are_numbers_however_they_were_given(): void
    {
        $account = Account::factory()->create();
        self::assertSame($account->id, Account::query()->findOrFail($account->id)->id);
        $other = new Account;
        $other->setRawAttributes(['id' => '7']);
        self::assertSame(7, $other->id);
    }

    public function test_a_word_that_stands_for_nothing_is_refused_also_after_one_that_does(): void
    {
        $channel = new Channel;
        $channel->setRawAttributes(['state' => 'valid']);
        self::assertSame(AddressState::Valid, $channel->state);
        $channel->setRawAttributes(['state' => 'nonsense']);
        $this->expectException(ValueError::class);
        $channel->state;
    }

    public function test_what_is_not_there_is_not_set(): void
    {
        $contact = Contact::factory()->create(['title' => null]);
        self::assertFalse(isset($contact->title));
        self::assertTrue(isset($contact->last_name));
        self::assertTrue(isset($contact->account->name));
        self::assertFalse(isset($contact->nothing));
        $contact->title = 'Buyer';
        self::assertTrue(isset($contact->title));
    }

    public function test_a_cast_of_one_question_is_not_taken_for_the_next(): void
    {
        $id = Account::factory()->create(['headcount' => 5])->id;
        self::assertSame(5, Account::query()->findOrFail($id)->headcount);
        self::assertSame('5', Account::query()->withCasts(['headcount' => 'string'])->findOrFail($id)->headcount);
        self::assertSame(5, Account::query()->findOrFail($id)->headcount);
    }
}
