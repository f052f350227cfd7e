<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use App\View\Accounts\Narrowed;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Which part of the work a rep has on Today, until another is chosen. */
final class NarrowingController extends Controller
{
    public function __invoke(Request $request, Offer $offer): RedirectResponse
    {
        $rep = self::user($request);
        $narrowed = Narrowed::from($offer, $request->only('list', 'role'));
        $rep->update(['narrowed' => [$offer->id => $narrowed->parameters()] + ($rep->narrowed ?? [])]);

        return redirect()->route('today')->with('said', $narrowed->isNarrow()
            ? "Today shows {$narrowed->says()}."
            : 'Today shows everybody.');
    }
}
