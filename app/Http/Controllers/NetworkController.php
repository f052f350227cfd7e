<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\RecordsExported;
use App\Exports\GraphFile;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Relation;
use App\Support\Format;
use App\View\Network\Neighbourhood;
use App\View\Network\NetworkPage;
use App\View\Network\RelationsPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Whom we know, and through whom. */
final class NetworkController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('network.index', ['page' => NetworkPage::of($offer, self::page($request))]);
    }

    /** Who is near somebody, drawn. */
    public function around(Contact $contact): View
    {
        return view('network.around', ['page' => Neighbourhood::of($contact)]);
    }

    /** All of it as a graph that other programs read. */
    public function graph(Request $request): StreamedResponse
    {
        RecordsExported::dispatch($request->user(), 'graphml', route('network'));

        return response()->streamDownload(
            fn () => GraphFile::write(), 'network.graphml', ['Content-Type' => 'application/graphml+xml'],
        );
    }

    /** What somebody brought, or what others brought of theirs. */
    public function relations(Request $request): View
    {
        $find = trim((string) ($request->validate(['find' => ['nullable', 'string', 'max:190']])['find'] ?? ''));

        return view('network.relations', ['page' => RelationsPage::of(self::user($request), $find)]);
    }

    public function withdraw(Relation $relation): RedirectResponse
    {
        $this->authorize('delete', $relation);
        $relation->delete();

        return back()
            ->with('said', "{$relation->person} is withdrawn from the address book of {$relation->user->name}.");
    }

    /** A whole book, as far as one may. */
    public function withdrawAll(Request $request): RedirectResponse
    {
        $request->validate(
            ['user' => ['required', 'integer'], 'source' => ['nullable', 'string', 'max:80'], 'sure' => ['accepted']],
            ['sure.accepted' => 'Tick that you are sure; what is withdrawn has to be brought again.'],
        );
        $gone = Relation::query()->seenBy(self::user($request))->where('user_id', $request->integer('user'))
            ->where('source', $request->input('source'))->delete();

        return redirect()->route('network.relations')
            ->with('said', Format::count((int) $gone, 'relation').((int) $gone === 1 ? ' is' : ' are').' withdrawn.');
    }
}
