<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Channels\Reach;
use App\Contacts\ContactChoice;
use App\Contacts\ForemostContacts;
use App\Contacts\TakeContact;
use App\Http\Requests\ReasonRequest;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Standing;
use App\Reasons\RecordReason;
use App\Reasons\UndatedFacts;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\View\Reasons\NewReasonPage;
use App\View\Reasons\ReasonPage;
use App\View\Reasons\ReasonsPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Luftig\Core\Reason\Greeting;

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
        [$standing, $lines] = $this->standing($offer, $account);
        $contacts = $this->contacts($offer, $standing, $request->integer('contact'));
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
        [$standing, $lines] = $this->standing($offer, $account);
        $chosen = array_values(array_filter(
            $lines,
            fn (SignalLine $line): bool => in_array((string) $line->signal->id, $request->signals(), true)
                    && $line->mayBeSaid()
                    && $line->isFresh(),
        ));
        $known = UndatedFacts::of(
            $account, $offer, $account->contacts()->whereKey($request->integer('contact'))->first(),
        );
        $facts = array_values(array_intersect($known, $request->facts()));
        if ($chosen === [] && $facts === []) {
            return back()->withInput()
                ->withErrors(['signals' => 'A reason rests on something: tick at least one signal or fact.']);
        }
        if (
            Reason::query()->where('account_id', $account->id)->inState('ready')->where('words', $request->words())
                ->exists()
        ) {
            return back()->withInput()->withErrors([
                'words' => 'These very words stand in another reason for this account already; no two should read '
                    .'the same.',
            ]);
        }
        $contact = $this->contacts($offer, $standing, $request->integer('contact'))
            ->firstWhere('id', $request->integer('contact'));
        $greeted = Greeting::readFrom($request->words());
        if ($contact !== null && ! in_array($greeted, [null, $contact->first_name], true)
            && self::isThere($account, $greeted)) {
            return back()->withInput()->withErrors([
                'words' => "The words greet $greeted, and are for {$contact->name()}. Greet whom they are for.",
            ]);
        }
        $taken = $contact === null ? null : TakeContact::take($offer, $contact, self::user($request));
        if ($taken !== null) {
            return back()->withInput()->withErrors([
                'contact' => $taken->user->name.' has reserved '.$contact->name().' until '
                    .$taken->until->isoFormat('dddd D MMMM')
                    .'. The reason was not recorded; choose somebody else, or agree with '.$taken->user->name.'.',
            ]);
        }
        $reason = RecordReason::record(
            $offer,
            $account,
            $contact,
            self::user($request),
            $standing,
            $request->words(),
            $request->channel(),
            $chosen,
            $facts,
            $request->string('angle')->toString() ?: null,
        );

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

    private static function isThere(Account $account, string $firstName): bool
    {
        return $account->contacts()->where('first_name', $firstName)->exists();
    }

    /** @return array{Standing, list<SignalLine>} */
    private function standing(Offer $offer, Account $account): array
    {
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->firstOrFail();
        $account->load(['signals' => fn ($query) => $query->with('contact')->ofOffer($offer)]);
        $account->load('industries', 'technologies', 'places');

        return [$standing, SignalLine::of($standing, $account->signals, RuleBook::catalogueOf($standing->ruleSet))];
    }

    /** @return Collection<int, Contact> */
    private function contacts(Offer $offer, Standing $standing, int $asked): Collection
    {
        $barred = EntriesInForce::now();

        return ForemostContacts::of($offer, collect([$standing]), [$asked])->where('account_id', $standing->account_id)
            ->with('channels')->get()->filter(fn (Contact $contact): bool => $barred->contact($contact->id) === null)
            ->sortByDesc(fn (Contact $contact): float => Reach::of($contact, $barred)->access)->values();
    }
}
