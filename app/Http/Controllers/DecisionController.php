<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\AccountFactsChanged;
use App\Http\Requests\DecisionRequest;
use App\Models\Account;
use App\Models\Decision;
use App\Models\Offer;
use App\View\Undo;
use Carbon\CarbonImmutable;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Keep, drop, put off: and each of them taken back. */
final class DecisionController extends Controller
{
    private const SAID = ['kept' => 'is kept, and %s.', 'dropped' => 'is dropped.', 'later' => 'is put off to %s.'];

    public function store(DecisionRequest $request, Offer $offer, Account $account): RedirectResponse
    {
        $decision = $request->string('decision')->toString();
        $owner = $decision === 'kept' ? $account->claim(self::user($request)) : null;
        $may = Gate::inspect('decide', $account);
        if ($may->denied()) {
            return back()->withErrors(['decision' => $may->message()]);
        }
        $until = $decision === 'later' ? CarbonImmutable::parse($request->string('until')->toString()) : null;
        Decision::query()->updateOrCreate(['offer_id' => $offer->id, 'account_id' => $account->id], [
            'decision' => $decision, 'until' => $until, 'user_id' => $owner->id ?? self::user($request)->id,
        ]);
        AccountFactsChanged::dispatch([$account->id]);

        $what = $decision === 'kept'
            ? ($owner?->is(self::user($request)) === true ? 'yours' : "{$owner?->name}'s")
            : $until?->format('l j F');

        return redirect()->to($request->nextPage())
            ->with('said', $account->name.' '.sprintf(self::SAID[$decision], $what))
            ->with('undo', Undo::by('delete', route('decision.destroy', $account)));
    }

    public function destroy(Request $request, Offer $offer, Account $account): RedirectResponse
    {
        $decision = Decision::query()->where('offer_id', $offer->id)->where('account_id', $account->id)->first();
        if ($decision !== null) {
            $may = Gate::inspect('delete', $decision);
            if ($may->denied()) {
                return back()->withErrors(['decision' => $may->message()]);
            }
            if ($decision->decision === 'kept' && $account->owner_id === $decision->user_id) {
                $account->update(['owner_id' => null]);
            }
            $decision->delete();
            AccountFactsChanged::dispatch([$account->id]);
        }

        return redirect()->route('accounts.show', $account)->with('said', $account->name.' is as it was before.');
    }
}
