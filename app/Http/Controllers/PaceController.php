<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\StepsCalendar;
use App\Models\PrivateAddress;
use App\Support\SignIns;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class PaceController extends Controller
{
    public function edit(Request $request): View
    {
        $user = self::user($request);

        return view('pace', [
            'address' => PrivateAddress::of($user, PrivateAddress::STEPS),
            'signIns' => SignIns::of($user, $request->session()->getId()),
        ]);
    }

    /** A new address of the calendar; the one before holds no more. */
    public function address(Request $request): RedirectResponse
    {
        $key = PrivateAddress::renew(self::user($request), PrivateAddress::STEPS);

        return redirect()->route('pace.edit')->with('address', route('steps', $key));
    }

    public function endAddress(Request $request): RedirectResponse
    {
        PrivateAddress::end(self::user($request), PrivateAddress::STEPS);

        return redirect()->route('pace.edit')->with('said', 'The address of your calendar holds no more.');
    }

    public function steps(string $key): Response
    {
        $user = PrivateAddress::owner($key, PrivateAddress::STEPS) ?? abort(404);

        return response(StepsCalendar::of($user))->withHeaders([
            'Content-Type' => 'text/calendar; charset=UTF-8', 'Cache-Control' => 'private, no-store',
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        $request->validate(
            ['pace' => ['required', 'integer', 'between:1,100']],
            ['pace.*' => 'A pace is a number of approaches a day, from 1 to 100.'],
        );
        self::user($request)->update(['pace' => $request->integer('pace')]);

        return back()->with('said', 'Your pace is '.$request->integer('pace').' approaches a day.');
    }
}
