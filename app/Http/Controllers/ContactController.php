<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Tagging;
use App\Http\Requests\ContactRequest;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\TitleLesson;
use App\Network\Ties;
use App\People\Editing;
use App\People\Erasing;
use App\Standings\Barred;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\View\Account\BuyingGroup;
use App\View\Accounts\Ranking;
use App\View\Contacts\ContactList;
use App\View\Line;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;

final class ContactController extends Controller
{
    private const PAGE = 25;

    public function index(Request $request, Offer $offer): View
    {
        $list = ContactList::from($offer, $request->query->all());
        $counts = $list->counts();
        $number = self::page($request);
        $page = $list->page($number, self::PAGE);
        $standings = Standing::query()->where('offer_id', $offer->id)->whereIn('account_id', array_column($page, 3))->with('account.places')->get()->keyBy('account_id');

        return view('contacts.index', [
            'list' => $list, 'counts' => $counts, 'standings' => $standings, 'barred' => Barred::now(),
            'contacts' => Contact::query()->with('channels', 'posts.account')->whereIn('id', array_column($page, 0))->get()->keyBy('id'),
            'lines' => $standings->isEmpty() ? [] : Ranking::lines($offer, $standings),
            'pages' => (new LengthAwarePaginator($page, $counts[$list->part->value ?? ''], self::PAGE, $number, ['path' => route('contacts.index')]))->withQueryString(),
        ]);
    }

    public function show(Request $request, Offer $offer, Contact $contact): View|RedirectResponse
    {
        if ($contact->merged_into !== null) {
            return redirect()->route('contacts.show', $contact->merged_into);
        }
        $contact->load('account.places', 'channels', 'posts.account');
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $contact->account_id)->first();
        $group = $standing === null ? null : BuyingGroup::of($offer, $contact->account, $standing, $request->user());
        $signals = Signal::query()->with('contact')->where('contact_id', $contact->id)->where(fn ($either) => $either->whereNull('offer_id')->orWhere('offer_id', $offer->id))->orderByDesc('occurred_at')->get();

        return view('contacts.show', [
            'contact' => $contact, 'account' => $contact->account, 'standing' => $standing, 'group' => $group, 'row' => $group?->row($contact), 'signals' => $signals, 'barred' => Barred::now(),
            'lines' => $standing === null ? [] : Line::of($standing, $signals, RuleBook::catalogueOf($standing->ruleSet)),
            'all' => $standing === null ? [] : Ranking::lines($offer, $standing->newCollection([$standing]))[$standing->account_id],
            'reasons' => Reason::query()->with('user')->where('contact_id', $contact->id)->latest()->limit(10)->get(),
            'approaches' => Approach::query()->with('user')->where('contact_id', $contact->id)->latest('made_at')->limit(20)->get(),
            'ties' => (new Ties(collect([$contact])))->of($contact), 'affiliations' => DB::table('affiliations')->where('contact_id', $contact->id)->orderBy('name')->get()->groupBy('kind'), 'tags' => Tagging::of('contacts', $contact->id),
            'lesson' => TitleLesson::query()->with('user')->where('title', $contact->title)->first(), 'mayTeach' => $request->user()->can('create', RuleSet::class),
            'seniorities' => Seniority::cases(), 'functions' => BusinessFunction::cases(),
        ]);
    }

    /** Somebody whom no file brought. */
    public function store(ContactRequest $request, Account $account, Standings $standings): RedirectResponse
    {
        $contact = Editing::add($account, $request->fields(), $request->input('since'), $request->input('email'), $request->input('phone'), $request->user());
        $standings->refresh();

        return redirect()->route('accounts.show', $account)->with('said', $contact->name().' is added.');
    }

    public function update(ContactRequest $request, Contact $contact, Standings $standings): RedirectResponse
    {
        Editing::change($contact, $request->fields());
        $standings->refresh();

        return redirect()->route('contacts.show', $contact)->with('said', 'Kept. No file will change what you set by hand.');
    }

    /** On request of the person; there is no way back. */
    public function destroy(Request $request, Contact $contact, Standings $standings): RedirectResponse
    {
        $this->authorize('erase', $contact);
        if (mb_strtolower($request->string('sure')->trim()->toString()) !== mb_strtolower($contact->name())) {
            return back()->withErrors(['sure' => 'To erase this person, type the name exactly as it stands above. Nothing was erased.']);
        }
        $account = $contact->account;
        Erasing::erase($contact, $request->user());
        $standings->refresh();

        return redirect()->route('accounts.show', $account)->with('said', 'The person is erased, and no file will bring them back.');
    }
}
