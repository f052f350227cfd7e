<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ApproachRequest;
use App\Http\Requests\ResultRequest;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Result;
use App\Reasons\RecordApproach;
use App\Reasons\RecordReason;
use App\Reasons\RecordResult;
use App\View\Undo;
use Carbon\CarbonImmutable;
use Illuminate\Http\RedirectResponse;

final class ApproachController extends Controller
{
    public function store(ApproachRequest $request, Reason $reason): RedirectResponse
    {
        $reason->load('account', 'offer.rules', 'contact');
        RecordApproach::allow($request->kind(), $reason->account, $reason->contact, self::user($request));
        $approach = RecordApproach::record(
            $request->approach(), $reason->offer, $reason->account, $reason->contact, self::user($request), $reason,
        );

        $next = $request->string('next')->toString() === 'today' ? route('today') : route('reasons.show', $reason);

        return redirect()->to($next)->with('said', 'The approach is recorded.')
            ->with('undo', Undo::by('delete', route('approaches.destroy', $approach)));
    }

    /** Done from a screen with the words that stood there, which become a reason with what they rest on. */
    public function straight(ApproachRequest $request, Offer $offer, Account $account): RedirectResponse
    {
        $contact = $request->filled('contact') ? $account->contacts()->findOrFail($request->integer('contact')) : null;
        RecordApproach::allow($request->kind(), $account, $contact, self::user($request));
        $reason = RecordReason::proposed(
            $offer, $account, $contact, self::user($request), $request->string('words')->trim()->toString(),
            $request->string('kind')->toString(), $request->string('angle')->toString(),
        );
        $approach = RecordApproach::record(
            $request->approach(), $offer, $account, $contact, self::user($request), $reason,
        );

        return back()->with('said', 'The approach to '.($contact?->name() ?? $account->name).' is recorded.')
            ->with('undo', Undo::by('delete', route('approaches.destroy', $approach)));
    }

    public function update(ResultRequest $request, Approach $approach): RedirectResponse
    {
        $later = $request->filled('later_on') ? CarbonImmutable::parse($request->string('later_on')->toString()) : null;
        RecordResult::record(
            $approach,
            Result::from($request->string('result')->toString()),
            self::user($request),
            $later,
            $request->input('instead'),
        );

        return back()->with('said', 'The result is recorded: '.$approach->account->name.', '
            .($approach->result?->label() ?? '').'.')
            ->with('undo', Undo::by('delete', route('approaches.reopen', $approach)));
    }

    /** Nothing has come of it yet, after all. */
    public function reopen(Approach $approach): RedirectResponse
    {
        RecordResult::undo($approach);

        return back()->with('said', 'The result is taken back, and with it what it corrected.');
    }

    public function destroy(Approach $approach): RedirectResponse
    {
        RecordApproach::undo($approach);

        return back()->with('said', 'The approach is undone; the reason is ready again.');
    }
}
