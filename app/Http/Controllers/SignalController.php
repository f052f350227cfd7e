<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignalRequest;
use App\Intake\ByHand;
use App\Models\Account;
use App\View\Undo;
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
}
