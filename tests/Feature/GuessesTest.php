<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Channels\Guesses;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeptList;
use App\Standings\Standings;
use App\View\Lists\ListPage;
use Luftig\Core\Reach\AddressState;
use Tests\TestCase;

/** Addresses that are guessed from those of a house, and what mails to a list are to be expected back (rule 16). */
final class GuessesTest extends TestCase
{
    private Account $account;

    private Contact $pernille;

    protected function setUp(): void
    {
        parent::setUp();
        $this->account = $this->tunhede();
        $this->pernille = Contact::query()->sole();
        $this->pernille->update(['first_name' => 'Pernille', 'last_name' => 'Rye']);
        Channel::query()->delete();
        $known = [['Jörg', 'Süd', 'joerg.sued'], ['Ada', 'Lie', 'ada.lie'], ['Bo', 'Moe', 'bmoe']];
        foreach ($known as [$f, $l, $local]) {
            $this->address(Contact::factory()->create([
                'account_id' => $this->account->id, 'first_name' => $f, 'last_name' => $l,
            ]), "$local@tunhede.example");
        }
        $this->actingAs($this->rep);
    }

    public function test_a_likely_address_is_proposed_with_its_chance_and_kept_as_a_guess(): void
    {
        // Over all and at the house alike: two of three, and one of three: (2 + 4/3) ÷ 5, (1 + 2/3) ÷ 5.
        self::assertEqualsWithDelta(
            ['pernille.rye@tunhede.example' => 2 / 3, 'prye@tunhede.example' => 1 / 3],
            Guesses::of($this->pernille), 1e-9,
        );
        $this->get(route('contacts.show', $this->pernille))
            ->assertSeeText('Likely addresses, by 3 addresses of the house')
            ->assertSeeTextInOrder(['pernille.rye@tunhede.example', '67 %', 'prye@tunhede.example', '33 %']);
        (new Standings)->all();
        $this->post(route('channels.guess', $this->pernille), ['value' => 'pernille.rye@tunhede.example'])
            ->assertSessionHasNoErrors();
        $channel = Channel::query()->where('contact_id', $this->pernille->id)->sole();
        self::assertSame([AddressState::Guess, .667], [$channel->state, $channel->chance]);
        self::assertSame([], Guesses::of($this->pernille->refresh()), 'one that may work is known');
        $this->post(route('channels.guess', $this->pernille), ['value' => 'else@tunhede.example'])
            ->assertSessionHasErrors('value');
        $channel->update(['state' => AddressState::Invalid]);
        self::assertSame(
            ['prye@tunhede.example'], array_keys(Guesses::of($this->pernille->refresh())), 'what bounced is none',
        );
    }

    public function test_nothing_is_guessed_without_a_domain_or_for_somebody_elses_address(): void
    {
        $this->address(Contact::factory()->create(['account_id' => $this->account->id]), 'prye@tunhede.example');
        self::assertSame(['pernille.rye@tunhede.example'], array_keys(Guesses::of($this->pernille)));
        $this->account->update(['domain' => 'gmail.com']);
        self::assertSame([], Guesses::of($this->pernille->refresh()->load('account')));
    }

    public function test_a_list_says_what_is_to_be_expected_back_and_warns(): void
    {
        $list = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'contacts']);
        foreach (Contact::query()->pluck('id') as $id) {
            $list->addMember($id);
        }
        // Three checked, .06 back of three, two per cent; one has none.
        $bounces = $this->page($list)->bounces();
        self::assertSame(
            ['3 contacts can be mailed; of 3 mails 0.1 are to be expected back (2 %); 1 without any.', false],
            [$bounces['says'] ?? '', $bounces['warns'] ?? null],
        );
        $this->address($this->pernille, 'p@tunhede.example', AddressState::Unknown);
        $dead = Contact::factory()->create(['account_id' => $this->account->id]);
        $this->address($dead, 'dead@tunhede.example', AddressState::Invalid);
        $list->addMember($dead->id);
        $bounces = $this->page($list)->bounces();
        self::assertSame(
            ['4 contacts can be mailed; of 4 mails 0.6 are to be expected back (14 %); 1 with a dead address.', true],
            [$bounces['says'] ?? '', $bounces['warns'] ?? null],
        );
        $this->get(route('lists.show', $list))->assertSeeText('Above 5 % a sender’s name suffers.');
        // Split by the best channel, the doubtful stand apart.
        $this->post(route('lists.split', $list), ['by' => 'channel'])->assertSessionHasNoErrors();
        self::assertSame(3, KeptList::query()->where('name', 'like', '%e-mail, checked')->sole()->members()->count());
        $accounts = KeptList::factory()->create(['offer_id' => $this->offer->id, 'subject' => 'accounts']);
        self::assertNull($this->page($accounts)->bounces());
    }

    private function page(KeptList $list): ListPage
    {
        return ListPage::of($this->offer, $list, Search::from($this->offer, ['on' => $list->subject]), 1);
    }

    private function address(Contact $contact, string $value, AddressState $state = AddressState::Valid): void
    {
        Channel::factory()->create(['contact_id' => $contact->id, 'value' => $value, 'state' => $state]);
    }
}
