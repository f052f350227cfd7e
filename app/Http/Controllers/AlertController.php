<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\AlertsFeed;
use App\Http\Requests\AlertRequest;
use App\Http\Requests\DigestRequest;
use App\Models\Alert;
use App\Models\AlertedSignal;
use App\Models\Offer;
use App\Models\PrivateAddress;
use App\View\Lists\AlertsPage;
use App\View\Today\JustIn;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What somebody is told of as it comes in: on Today, by mail, and in an Atom feed of their own. */
final class AlertController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('lists.alerts', ['page' => AlertsPage::of($offer, self::user($request))]);
    }

    public function store(AlertRequest $request, Offer $offer): RedirectResponse
    {
        $alert = Alert::query()->create($request->alert() + [
            'user_id' => self::user($request)->id, 'offer_id' => $offer->id,
        ]);

        return back()->with('said', 'You will be told: '.AlertsPage::says($alert).'.')
            ->with('undo', Undo::by('delete', route('alerts.destroy', $alert)));
    }

    public function destroy(Alert $alert): RedirectResponse
    {
        $alert->delete();

        return redirect()->route('alerts.index')->with('said', 'The alert is removed.')
            ->with('undo', Undo::by('post', route('alerts.store'), AlertsPage::fields($alert)));
    }

    public function digest(DigestRequest $request): RedirectResponse
    {
        self::user($request)->update($request->validated());

        return back()->with('said', "Your digest comes on working days at {$request->integer('digest_hour')}:00.");
    }

    /** A new address of the feed; the one before holds no more. */
    public function address(Request $request): RedirectResponse
    {
        $key = PrivateAddress::renew(self::user($request), PrivateAddress::ALERTS);

        return redirect()->route('alerts.index')->with('address', route('alerts.feed', $key));
    }

    public function endAddress(Request $request): RedirectResponse
    {
        PrivateAddress::end(self::user($request), PrivateAddress::ALERTS);

        return redirect()->route('alerts.index')->with('said', 'The address of your feed holds no more.');
    }

    /** What is just in, for Today. */
    public function justIn(Request $request): View
    {
        return view('today.just-in', ['in' => JustIn::of(self::user($request))]);
    }

    public function seen(Request $request): RedirectResponse
    {
        AlertedSignal::query()->where('user_id', self::user($request)->id)->whereNull('seen_at')
            ->where('id', '<=', $request->integer('until'))->update(['seen_at' => now()]);

        return redirect()->route('today');
    }

    public function feed(string $key): Response
    {
        $user = PrivateAddress::owner($key, PrivateAddress::ALERTS) ?? abort(404);

        return response(AlertsFeed::of($user, route('alerts.feed', $key)))->withHeaders([
            'Content-Type' => 'application/atom+xml; charset=UTF-8', 'Cache-Control' => 'private, no-store',
        ]);
    }
}
