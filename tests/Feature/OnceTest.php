<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Approach;
use App\Models\KeepOut;
use App\Models\Note;
use App\Models\Submission;
use Illuminate\Support\Sleep;
use Tests\TestCase;

/** Two clicks on one button do one thing. */
final class OnceTest extends TestCase
{
    public function test_an_approach_sent_twice_is_one_and_both_are_told(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        $form = [
            '_once' => 'aaaabbbbcccc', 'kind' => 'email', 'contact' => $contact->id,
            'words' => 'Good morning, you seek planners.',
        ];
        for ($i = 0; $i < 2; $i++) {
            $this->actingAs($this->rep)->from(route('accounts.show', $account))
                ->post(route('accounts.approach', $account), $form)
                ->assertRedirect(route('accounts.show', $account))
                ->assertSessionHas('said', "The approach to {$contact->name()} is recorded.");
        }
        self::assertSame(1, Approach::query()->count());
    }

    public function test_the_same_words_from_another_page_or_by_another_person_are_another_note(): void
    {
        $account = $this->tunhede();
        foreach (
            [[$this->rep, 'one'], [$this->rep, 'two'], [$this->lead, 'two'], [$this->lead, 'two']] as [$person, $page]
        ) {
            $this->actingAs($person)
                ->post(route('notes.store', $account), ['_once' => $page, 'text' => 'Called; nobody there.'])
                ->assertRedirect();
        }
        self::assertSame(3, Note::query()->count());
    }

    public function test_what_was_refused_may_be_sent_again(): void
    {
        $form = ['_once' => 'aaaabbbbcccc', 'type' => 'domain', 'value' => 'tunhede.example', 'reason' => ''];
        for ($i = 0; $i < 2; $i++) {
            $this->actingAs($this->rep)->post(route('keep-out.store'), $form)->assertSessionHasErrors();
        }
        self::assertSame([0, 0], [KeepOut::query()->count(), Submission::query()->count()]);
    }

    public function test_what_was_typed_cannot_be_guessed_from_what_is_stored_and_signing_in_stores_nothing(): void
    {
        $this->post('/sign-in', ['_once' => 'one', 'email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertRedirect('/');
        self::assertSame(0, Submission::query()->count());
        $account = $this->tunhede();
        $form = ['_once' => 'one', 'text' => 'Called; nobody there.'];
        $this->actingAs($this->rep)->post(route('notes.store', $account), $form)->assertRedirect();
        $plain = sha1($this->rep->id.'|accounts/'.$account->id.'/notes|'.serialize($form));
        self::assertSame([1, 0], [Submission::query()->count(), Submission::query()->whereKey($plain)->count()]);
    }

    public function test_while_the_first_is_worked_on_the_second_waits_and_then_says_so(): void
    {
        Sleep::fake();
        $account = $this->tunhede();
        $form = ['_once' => 'one', 'text' => 'Called; nobody there.'];
        $this->actingAs($this->rep)->post(route('notes.store', $account), $form)->assertRedirect();
        Submission::query()->update(['answer' => null]);
        $this->post(route('notes.store', $account), $form)->assertSessionHas('warning');
        self::assertSame(1, Note::query()->count());
        $this->travel(2)->days();
        $this->artisan('model:prune', ['--model' => [Submission::class]]);
        self::assertSame(0, Submission::query()->count());
    }
}
