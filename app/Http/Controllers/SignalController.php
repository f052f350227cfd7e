<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\Strike;
use App\Http\Requests\SignalRequest;
use App\Http\Requests\StrikeRequest;
use App\Intake\ByHand;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Signal;
use App\Models\StruckSignal;
use App\View\Feeds\SignalPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class SignalController extends Controller
{
    /** Something that somebody saw, and no file brought. */
    public function store(SignalRequest $request, Account $account): RedirectResponse
    {
        $intake = ByHand::signal($account, $request->cells(), self::user($request));

        return redirect()->route('accounts.show', $account)->with('said', 'The signal is added.')
            ->with('undo', Undo::by('post', route('intake.undo', $intake)));
    }

    public function show(Offer $offer, Signal $signal): View
    {
        return view('signals.show', ['page' => SignalPage::of($signal, $offer)]);
    }

    /** It is wrong, and counts no more. */
    public function destroy(StrikeRequest $request, Signal $signal): RedirectResponse
    {
        $struck = Strike::out($signal, self::user($request), $request->string('reason')->trim()->toString());

        return redirect()->route('accounts.show', $signal->account_id)
            ->with('said', "“{$signal->title}” is struck out, and counts no more.")
            ->with('undo', Undo::by('post', route('signals.restore', $struck)));
    }

    public function restore(StruckSignal $struck): RedirectResponse
    {
        Strike::back($struck);

        return redirect()->route('signals.show', $struck->id)->with('said', 'It counts again.');
    }
}
