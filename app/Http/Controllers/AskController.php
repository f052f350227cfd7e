<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AskRequest;
use App\KeepOut\EntriesInForce;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\User;
use App\Network\Asking;
use App\Network\Paths;
use App\Reasons\Asks;
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
        $ask = Asks::begin(
            $offer,
            $contact,
            $by,
            $way['people'],
            $request->string('request')->toString(),
            $request->string('forward')->toString(),
            $request->filled('remind_on') ? $request->string('remind_on')->toString() : null,
        );

        return redirect()->route('asks.show', $ask)->with('said', 'Written down: '.$ask->introducer()
            .' is asked for an introduction to '.$contact->name().'.');
    }

    public function show(Ask $ask): View
    {
        $ask->load('contact.account', 'user', 'askedUser', 'askedContact.channels');

        return view('network.asked', ['page' => AskPage::of($ask)]);
    }

    /** What became of it, where one hears it otherwise; or that they were reminded, or thanked. */
    public function update(Request $request, Ask $ask): RedirectResponse
    {
        if ($request->boolean('thanked')) {
            $ask->update(['thanked_at' => now()]);

            return back()->with('said', 'Thanked. That is what makes a second time possible.');
        }
        if ($request->boolean('reminded')) {
            return back()->with('said', $ask->introducer().(Asks::remind($ask) ? ' is reminded.'
                : ' has answered meanwhile, or was reminded often enough.'));
        }
        $request->validate(['state' => ['required', Rule::enum(AskState::class)]]);
        Asks::became($ask, AskState::from($request->string('state')->toString()));

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
        Asks::became(
            $ask,
            AskState::from($request->string('state')->toString()),
            $request->filled('answer') ? $request->string('answer')->trim()->toString() : null,
        );

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
}
