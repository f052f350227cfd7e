<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Indexes;
use App\Http\Requests\ApproachRequest;
use App\Http\Requests\ResultRequest;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Reason;
use App\Models\Result;
use App\People\Taking;
use App\Reasons\Outcome;
use App\Standings\Barred;
use App\Standings\Snapshot;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Illuminate\Http\RedirectResponse;

final class ApproachController extends Controller
{
    public function store(ApproachRequest $request, Reason $reason): RedirectResponse
    {
        $reason->load('account', 'offer.rules', 'contact');
        $barred = Barred::now();
        $why = $barred->account($reason->account_id, $reason->account->domain) ?? ($reason->contact_id === null ? null : $barred->contact($reason->contact_id));
        if ($why !== null) {
            return back()->withErrors(['kind' => "This approach was not recorded: they are kept out ({$why})."]);
        }
        Approach::query()->create([
            'offer_id' => $reason->offer_id, 'account_id' => $reason->account_id, 'contact_id' => $reason->contact_id, 'reason_id' => $reason->id, 'user_id' => $request->user()->id,
            'kind' => ApproachKind::from($request->string('kind')->toString()), 'made_at' => now(), 'next_step' => $request->input('next_step'), 'next_step_on' => $request->input('next_step_on'),
            'snapshot' => Snapshot::of($reason->offer, $reason->account_id, CarbonImmutable::now()),
        ]);

        Indexes::changed([$reason->account_id]);
        if ($reason->contact !== null) {
            Taking::release($reason->contact, $request->user());
        }

        return redirect()->route('reasons.show', $reason)->with('said', 'The approach is recorded.');
    }

    public function update(ResultRequest $request, Approach $approach, Standings $standings): RedirectResponse
    {
        $this->authorize('update', $approach);
        $later = $request->filled('later_on') ? CarbonImmutable::parse($request->string('later_on')->toString()) : null;
        Outcome::record($approach, Result::from($request->string('result')->toString()), $request->user(), $later, $request->input('instead'));
        $standings->refresh();

        return back()->with('said', 'The result is recorded.');
    }

    public function destroy(Approach $approach): RedirectResponse
    {
        $this->authorize('update', $approach);
        $approach->delete();
        Indexes::changed([$approach->account_id]);

        return back()->with('said', 'The approach is taken back; the reason is ready again.');
    }
}
