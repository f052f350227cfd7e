<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Lists\KeepResults;
use App\Models\Approach;
use App\Models\KeepOut;
use App\Models\KeptList;
use App\Models\Note;
use App\Models\Submission;
use Illuminate\Session\Store;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Sleep;
use Illuminate\Validation\ValidationException;
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

    public function test_a_page_under_way_takes_nothing_from_what_a_form_says_meanwhile(): void
    {
        $this->startSession();
        session()->flash('said', 'Welcome.');
        session()->save();
        $stored = function (): Store {
            $session = clone $this->app->make(Store::class);
            $session->flush();
            $session->start();

            return $session;
        };
        Route::middleware('web')->get('/slow', function () use ($stored): string {
            $form = $stored();
            $form->flash('said', 'Saved.');
            $form->save();

            return (string) session('said');
        });
        Route::middleware('web')->get('/ended', function () use ($stored): string {
            session()->getHandler()->destroy($stored()->getId());

            return '';
        });
        $this->withCookie(config()->string('session.cookie'), session()->getId());

        $this->get('/slow')->assertSeeText('Welcome.');
        self::assertSame(['Saved.', ['said']], [$stored()->get('said'), $stored()->get('_flash.old')]);
        // Said once.
        $this->get('/sign-in')->assertSeeText('Saved.');
        self::assertNull($stored()->get('said'));

        $this->get('/ended')->assertOk();
        self::assertSame('', session()->getHandler()->read(session()->getId()), 'what ended is not begun again');
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

    public function test_two_people_keep_the_same_out_once_and_for_the_longer_time(): void
    {
        $says = [];
        $enters = [
            ['2031-01-31', $this->rep], ['2030-01-31', $this->lead], ['2032-01-31', $this->lead], [null, $this->rep],
        ];
        foreach ($enters as $i => [$until, $person]) {
            $this->actingAs($person)->post(route('keep-out.store'), [
                '_once' => "page $i", 'type' => 'domain', 'value' => 'tunhede.example', 'reason' => 'a partner of ours',
                'until' => $until,
            ])->assertSessionHasNoErrors();
            $says[] = session('said');
        }
        self::assertSame([
            'tunhede.example is kept out.',
            'tunhede.example is on the keep-out for this reason already until 31 January 2031.',
            'tunhede.example is on the keep-out for this reason already until 31 January 2032.',
            'tunhede.example is on the keep-out for this reason already.',
        ], $says);
        self::assertNull(KeepOut::query()->sole()->until);

        $this->post(route('keep-out.store'), [
            '_once' => 'page 5', 'type' => 'domain', 'value' => 'tunhede.example', 'reason' => KeepOut::ASKED,
        ]);
        self::assertSame(2, KeepOut::query()->count(), 'another reason is another entry');
    }

    public function test_a_list_has_its_name_alone_also_where_two_are_kept_at_once(): void
    {
        $keep = fn (string $name): KeptList => KeepResults::asList(
            $this->offer, Search::from($this->offer, ['on' => 'accounts']), $name, $this->rep,
        );
        $first = $keep('Glassworks');
        try {
            $keep('glassworks');
            self::fail('The name is taken.');
        } catch (ValidationException $mistake) {
            self::assertSame('There is a list of this name.', $mistake->getMessage());
        }
        $this->actingAs($this->rep)->delete(route('lists.destroy', $first))->assertRedirect();
        $second = $keep('Glassworks');
        $this->post(route('lists.restore', $first->id))->assertSessionHas('said', 'The list “Glassworks (2)” is back.');
        self::assertSame('Glassworks', $second->refresh()->name);
    }
}
