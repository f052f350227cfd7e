<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\EditContact;
use App\Http\Requests\PositionRequest;
use App\Models\Contact;
use App\Models\Position;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

/** The positions of a contact, entered and corrected by hand; signals follow them. */
final class PositionController extends Controller
{
    public function store(PositionRequest $request, Contact $contact): RedirectResponse
    {
        EditContact::position($contact, $request->held($contact->account_id));

        return $this->done($contact, 'The position is kept.');
    }

    public function update(PositionRequest $request, Contact $contact, Position $position): RedirectResponse
    {
        EditContact::position($contact, $request->held($contact->account_id), $position);

        return $this->done($contact, 'The position is corrected, and what followed from it.');
    }

    public function destroy(Contact $contact, Position $position): RedirectResponse
    {
        EditContact::removePosition($contact, $position);

        return $this->done($contact, 'The position is removed, and what followed from it.')->with('undo',
            Undo::by('post', route('positions.store', $contact), [
                'title' => $position->title, 'company' => $position->elsewhere($contact),
                'since' => $position->since?->toDateString(), 'until' => $position->until?->toDateString(),
            ]));
    }

    private function done(Contact $contact, string $said): RedirectResponse
    {

        return redirect()->route('contacts.show', $contact)->with('said', $said);
    }
}
