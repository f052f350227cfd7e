<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\TakeContact;
use App\Models\Contact;
use App\Models\Offer;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A rep takes a contact, so that no colleague approaches them meanwhile. */
final class ReservationController extends Controller
{
    public function store(Request $request, Offer $offer, Contact $contact): RedirectResponse
    {
        $taken = TakeContact::take($offer, $contact, self::user($request));
        if ($taken !== null) {
            return back()->withErrors([
                'taken' => $contact->name().' was reserved by '.$taken->user->name.' just before you, until '
                    .$taken->until->format('l j F').'.',
            ]);
        }

        return back()->with('said', $contact->name().' is reserved for you until the end of the next working day.')
            ->with('undo', Undo::by('delete', route('reservations.destroy', $contact)));
    }

    public function destroy(Request $request, Contact $contact): RedirectResponse
    {
        TakeContact::release($contact, self::user($request));

        return back()->with('said', $contact->name().' is free again.');
    }
}
