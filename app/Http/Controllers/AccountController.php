<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Tagging;
use App\Models\Account;
use App\Models\Decision;
use App\Models\Offer;
use App\Models\Standing;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\Standings\StandingState;
use App\View\Account\BuyingGroup;
use App\View\Account\Ribbon;
use App\View\Accounts\Ranking;
use App\View\Line;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class AccountController extends Controller
{
    private const PAGE = 25;

    /** How many the picture can show and still be read. */
    private const PICTURE = 400;

    public function index(Request $request, Offer $offer): View
    {
        $ranking = Ranking::from($offer, $request->query->all());
        $standings = $ranking->page(self::page($request), self::PAGE, ['account' => fn ($query) => $query->with('places', 'industries', 'owner')->withMax('approaches', 'made_at')])->withQueryString();

        return view('accounts.index', [
            'ranking' => $ranking, 'standings' => $standings, 'counts' => $ranking->counts(),
            'lines' => Ranking::lines($offer, $standings->getCollection()),
            'picture' => $request->query('view') === 'picture' && $ranking->state === StandingState::Ranked,
        ]);
    }

    /** What the picture of fit against timing is drawn from. */
    public function picture(Request $request, Offer $offer): JsonResponse
    {
        $ranking = Ranking::from($offer, $request->query->all());
        $standings = Ranking::among($ranking->query(), self::PICTURE)->with('account:id,name')->limit(self::PICTURE)->get();

        return response()->json(['of' => $ranking->count(), 'accounts' => $standings->map(fn (Standing $standing): array => [
            'id' => $standing->account_id, 'name' => $standing->account->name, 'fit' => $standing->fit, 'timing' => $standing->timing(), 'access' => $standing->access, 'priority' => $standing->priority,
        ])]);
    }

    /** Says that what looks like an agency is none, or takes that back. */
    public function update(Request $request, Account $account, Standings $standings): RedirectResponse
    {
        $request->validate(['no_agency' => ['required', 'boolean']]);
        $account->update(['no_agency' => $request->boolean('no_agency'), 'stale' => true]);
        $standings->refresh();

        return back()->with('said', $account->no_agency ? "{$account->name} is no agency." : "{$account->name} is looked at like any other again.")->with('putBack', ['url' => route('accounts.update', $account), 'fields' => ['_method' => 'PATCH', 'no_agency' => $account->no_agency ? 0 : 1]]);
    }

    public function show(Request $request, Offer $offer, Account $account): View|RedirectResponse
    {
        if ($account->merged_into !== null) {
            return redirect()->route('accounts.show', $account->merged_into);
        }
        $account->load(['signals' => fn ($query) => $query->with('contact')->where(fn ($either) => $either->whereNull('offer_id')->orWhere('offer_id', $offer->id))]);
        $account->load('places', 'industries', 'technologies', 'extras', 'customerPeriods', 'notes.user', 'approaches.contact', 'approaches.user', 'owner', 'parent');
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)->first();
        $ranking = Ranking::from($offer, $request->query->all());
        $group = $standing === null ? null : BuyingGroup::of($offer, $account, $standing, $request->user());
        $book = $standing === null ? null : RuleBook::of($standing->ruleSet);

        return view('accounts.show', [
            'account' => $account, 'standing' => $standing, 'ranking' => $ranking, 'around' => $ranking->around($account->id),
            'catalogue' => $book?->catalogue, 'criteria' => $standing === null ? [] : $standing->ruleSet->criteria,
            'lines' => $book === null ? [] : Line::of($standing, $account->signals, $book->catalogue),
            'ribbon' => $book === null ? null : Ribbon::of($account, $standing, $book),
            'decision' => Decision::query()->with('user')->where('offer_id', $offer->id)->where('account_id', $account->id)->first(),
            'tags' => Tagging::of('accounts', $account->id), 'group' => $group, 'through' => $group?->through(),
        ]);
    }
}
