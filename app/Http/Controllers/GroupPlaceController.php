<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\AccountFactsChanged;
use App\Http\Requests\GroupPlaceRequest;
use App\Models\Account;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Offer;
use App\Models\Standing;
use App\Standings\ChangedAccounts;
use App\View\Account\BuyingGroup;
use App\View\Components\Group;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Blade;
use Luftig\Core\Buying\Part;

/** What people set by hand in a buying group: a part, who reports to whom, who does not belong. */
final class GroupPlaceController extends Controller
{
    public function update(
        GroupPlaceRequest $request,
        Offer $offer,
        Account $account,
        Contact $contact,
        ChangedAccounts $changed,
    ): RedirectResponse|Response {
        abort_unless($contact->account_id === $account->id, 404);
        $place = GroupPlace::query()
            ->firstOrNew(['offer_id' => $offer->id, 'contact_id' => $contact->id], ['account_id' => $account->id]);
        if ($request->filled('part')) {
            $part = $request->string('part')->toString();
            $place->fill(['part' => Part::tryFrom($part), 'removed' => $part === GroupPlaceRequest::OUT]);
        }
        if ($request->has('reports_to')) {
            $place->fill(['reports_to' => $request->reportsTo()]);
        }
        $place->fill(['user_id' => self::user($request)->id]);
        $place->part === null && ! $place->removed && $place->reports_to === null ? $place->delete() : $place->save();
        AccountFactsChanged::dispatch([$account->id]);
        if ($request->hasHeader('HX-Request')) {
            $changed->settle();
            $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)
                ->where('account_id', $account->id)->firstOrFail();

            return response(Blade::renderComponent(
                new Group(
                    $account,
                    BuyingGroup::of($offer, $account, $standing, self::user($request), $contact),
                    $contact,
                ),
            ));
        }

        return redirect()->to(route('accounts.show', $account).'#group');
    }
}
