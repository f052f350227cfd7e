<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Account;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Offer;
use App\Models\Standing;
use App\Standings\Standings;
use App\View\Account\BuyingGroup;
use App\View\Components\Group;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Blade;
use Illuminate\Validation\Rule;
use Luftig\Core\Priority\Part;

/** What people set by hand in a buying group: a part, who reports to whom, who does not belong. */
final class GroupPlaceController extends Controller
{
    /** The part as the rules compute it. */
    private const COMPUTED = 'computed';

    private const OUT = 'out';

    public function update(Request $request, Offer $offer, Account $account, Contact $contact, Standings $standings): RedirectResponse|Response
    {
        abort_unless($contact->account_id === $account->id, 404);
        $request->validate([
            'part' => ['nullable', Rule::in([...array_column(Part::cases(), 'value'), self::COMPUTED, self::OUT])],
            'reports_to' => ['nullable', 'integer', Rule::exists('contacts', 'id')->where('account_id', $account->id), Rule::notIn([$contact->id])],
        ], ['reports_to.not_in' => 'Nobody reports to themselves.', 'reports_to.exists' => 'That person is not at this account.', 'part.in' => 'There is no such part.']);
        $place = GroupPlace::query()->firstOrNew(['offer_id' => $offer->id, 'contact_id' => $contact->id], ['account_id' => $account->id]);
        if ($request->filled('part')) {
            $part = $request->string('part')->toString();
            $place->fill(['part' => Part::tryFrom($part), 'removed' => $part === self::OUT]);
        }
        if ($request->has('reports_to')) {
            $place->fill(['reports_to' => $request->input('reports_to')]);
        }
        $place->fill(['user_id' => $request->user()->id]);
        $place->part === null && ! $place->removed && $place->reports_to === null ? $place->delete() : $place->save();
        $account->update(['stale' => true]);
        $standings->refresh();
        if ($request->header('HX-Request')) {
            $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)->firstOrFail();

            return response(Blade::renderComponent(new Group($account, BuyingGroup::of($offer, $account, $standing, $request->user()), $contact)));
        }

        return redirect()->to(route('accounts.show', $account).'#group');
    }
}
