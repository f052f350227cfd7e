<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AskRequest;
use App\KeepOut\EntriesInForce;
use App\Models\ApproachKind;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\User;
use App\Network\Asking;
use App\Network\Paths;
use App\Reasons\RecordApproach;
use App\Support\Together;
use App\View\Network\AskPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Luftig\Core\Reach\IntroPath;

/** Requests for introductions: asked by a rep, answered by the introducer at an address of its own. */
final class AskController extends Controller
{
    public function create(Request $request, Offer $offer, Contact $contact): View|RedirectResponse
    {
        $way = $this->way($contact, self::user($request), self::text($request, 'path'));
        if ($way === null) {
            return redirect()->route('contacts.show', $contact)
                ->withErrors(['path' => 'This way is no longer there. These are the ones that are.']);
        }

        return view('network.ask', ['page' => AskPage::begin($offer, $contact, self::user($request), $way)]);
    }

    public function store(AskRequest $request, Offer $offer, Contact $contact): RedirectResponse
    {
        $by = self::user($request);
        $way = $this->way($contact, $by, $request->string('path')->toString());
        if ($way === null) {
            return redirect()->route('contacts.show', $contact)
                ->withErrors(['path' => 'This way is no longer there; nobody was asked.']);
        }
        $introducer = $way['people'][1];
        $remind = $request->filled('remind_on') ? $request->string('remind_on')->toString() : null;
        $ask = Together::write(function () use ($request, $offer, $contact, $by, $way, $introducer, $remind): Ask {
            $approach = RecordApproach::record([
                'kind' => ApproachKind::AskIntroduction,
                'next_step' => $remind === null ? null : 'Remind '.self::name($introducer), 'next_step_on' => $remind,
            ], $offer, $contact->account, $contact, $by, null);

            return Ask::query()->create([
                'offer_id' => $offer->id, 'contact_id' => $contact->id, 'user_id' => $by->id,
                'asked_user_id' => $introducer instanceof User ? $introducer->id : null,
                'asked_contact_id' => $introducer instanceof Contact ? $introducer->id : null,
                'approach_id' => $approach->id, 'people' => array_map(self::name(...), $way['people']),
                'request' => $request->string('request')->toString(),
                'forward' => $request->string('forward')->toString(), 'asked_at' => now(), 'remind_on' => $remind,
            ]);
        });

        return redirect()->route('asks.show', $ask)->with('said', 'Written down: '.self::name($introducer)
            .' is asked for an introduction to '.$contact->name().'.');
    }

    public function show(Ask $ask): View
    {
        $ask->load('contact.account', 'user', 'askedUser', 'askedContact.channels');

        return view('network.asked', ['page' => AskPage::of($ask)]);
    }

    /** What became of it, where one hears it otherwise; or that they were thanked. */
    public function update(Request $request, Ask $ask): RedirectResponse
    {
        if ($request->boolean('thanked')) {
            $ask->update(['thanked_at' => now()]);

            return back()->with('said', 'Thanked. That is what makes a second time possible.');
        }
        $request->validate(['state' => ['required', Rule::enum(AskState::class)]]);
        $ask->update([
            'state' => $request->string('state')->toString(),
            'answered_at' => $request->input('state') === AskState::Asked->value ? null : now(),
        ]);

        return back()->with('said', "It stands as {$ask->state->label()}.");
    }

    /** What the introducer sees, without signing in. */
    public function answer(Ask $ask): View
    {
        $ask->load('contact.account', 'user', 'askedUser', 'askedContact');

        return view('network.answer', ['page' => AskPage::of($ask), 'isAnswered' => $ask->answered_at !== null]);
    }

    public function answered(Request $request, Ask $ask): RedirectResponse
    {
        $request->validate([
            'state' => ['required', Rule::in(
                array_map(fn (AskState $one): string => $one->value, AskState::answers()),
            )],
            'answer' => ['nullable', 'string', 'max:1000'],
        ]);
        $ask->update([
            'state' => $request->string('state')->toString(), 'answered_at' => now(),
            'answer' => $request->filled('answer') ? $request->string('answer')->trim()->toString() : $ask->answer,
        ]);

        return redirect()->to(Asking::address($ask))->with('said', 'Thank you. '.$ask->user->name.' sees it now.');
    }

    /** @return array{path: IntroPath, people: list<User|Contact>, why: list<array{string, float}>}|null */
    private function way(Contact $contact, User $from, string $asked): ?array
    {
        $barred = EntriesInForce::now();
        $account = $contact->loadMissing('account')->account;
        if ($barred->contact($contact->id) !== null || $barred->account($account->id, $account->domain) !== null) {
            return null;
        }
        foreach (Paths::to($contact, $from) as $way) {
            if ($way['path']->introducer() !== null && implode('-', $way['path']->people) === $asked) {
                return $way;
            }
        }

        return null;
    }

    private static function name(User|Contact $person): string
    {
        return $person instanceof User ? $person->name : $person->name();
    }
}
