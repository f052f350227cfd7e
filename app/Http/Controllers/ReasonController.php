<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\ContactChoice;
use App\Contacts\TakeContact;
use App\Http\Requests\ReasonRequest;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Reason;
use App\Reasons\RecordReason;
use App\Reasons\UndatedFacts;
use App\Reasons\WriteReason;
use App\View\Reasons\NewReasonPage;
use App\View\Reasons\ReasonPage;
use App\View\Reasons\ReasonsPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class ReasonController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('reasons.index', [
            'page' => ReasonsPage::of(
                $offer, self::text($request, 'state'), self::text($request, 'q'),
                self::user($request)->leads() ? null : self::user($request),
            ),
        ]);
    }

    public function create(Request $request, Offer $offer, Account $account): View
    {
        [$standing, $lines] = WriteReason::standing($offer, $account);
        $contacts = WriteReason::contacts($offer, $standing, $request->integer('contact'));
        $contact = $contacts->firstWhere('id', $request->integer('contact')) ?? $contacts->firstWhere(
            'id',
            (new ContactChoice($offer, self::user($request)))->of(
                collect([$standing->setRelation('account', $account)]),
                $contacts->toBase(),
            )[$account->id]->taken[0] ?? null,
        ) ?? $contacts->first();

        return view('reasons.create', [
            'page' => new NewReasonPage(
                $offer, $account, $lines, $contacts, $contact, UndatedFacts::of($account, $offer, $contact),
                EntriesInForce::now(), self::text($request, 'angle') ?: null,
            ),
        ]);
    }

    public function store(ReasonRequest $request, Offer $offer, Account $account): RedirectResponse
    {
        $reason = WriteReason::from($offer, $account, $request->said(), self::user($request));

        return redirect()->route('reasons.show', $reason)->with('said', 'The reason is recorded, with its evidence.');
    }

    /** The words that stand on Today, as they stand: one press records them, with what they rest on. */
    public function propose(ReasonRequest $request, Offer $offer, Account $account): RedirectResponse
    {
        $contact = $request->filled('contact') ? $account->contacts()->findOrFail($request->integer('contact')) : null;
        $today = redirect()->route('today', ['focus' => $account->id]);
        $taken = $contact === null ? null : TakeContact::take($offer, $contact, self::user($request));
        if ($taken !== null) {
            return $today->withErrors(['kind' => "{$taken->user->name} has reserved {$contact->name()}. The reason was "
                .'not recorded.']);
        }
        $reason = RecordReason::proposed(
            $offer, $account, $contact, self::user($request), $request->words(), $request->channel(),
            $request->string('angle')->toString(),
        );

        return $reason === null
            ? redirect()->route('reasons.create', [$account, 'contact' => $contact?->id])->withErrors([
                'signals' => 'The words rest on nothing that is still fresh. Tick what they rest on.',
            ])
            : $today->with('said', "The reason for {$account->name} is recorded, with its evidence.")
                ->with('undo', Undo::by('delete', route('reasons.destroy', $reason), ['next' => 'today']));
    }

    public function show(Reason $reason): View
    {
        $reason->load('account', 'contact.channels', 'user', 'approaches.user', 'approaches.contact', 'offer');

        return view('reasons.show', ['page' => ReasonPage::of($reason)]);
    }

    public function destroy(Request $request, Reason $reason): RedirectResponse
    {
        $reason->delete();
        if ($request->string('next')->toString() === 'today') {
            return redirect()->route('today', ['focus' => $reason->account_id])
                ->with('said', 'The reason is taken back.');
        }

        return redirect()->route('reasons.create', $reason->account_id)
            ->withInput(['words' => $reason->words, 'channel' => $reason->channel, 'contact' => $reason->contact_id])
            ->with('said', 'The reason is removed. Its words stand here, should you want it after all.');
    }
}
