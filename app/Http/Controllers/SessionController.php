<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\SignIns;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Where one is signed in, ended from here. */
final class SessionController extends Controller
{
    /** One of them, or all others; a browser that was told to remember is forgotten too. */
    public function destroy(Request $request): RedirectResponse
    {
        $user = self::user($request);
        $ended = SignIns::of($user, $request->session()->getId())
            ->end($user, $request->string('which')->toString());
        activity()->performedOn($user)->log('sign-ins elsewhere ended');

        return redirect()->route('pace.edit')->with('said', $ended === 0 ? 'It had ended already.'
            : ($ended === 1 ? 'It is ended.' : "$ended are ended."));
    }
}
