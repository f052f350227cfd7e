<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\EditContact;
use App\Http\Requests\PositionRequest;
use App\Models\Contact;
use App\Models\Position;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

/** The posts of a contact, entered and corrected by hand; signals follow them. */
final class PositionController extends Controller
{
    public function store(PositionRequest $request, Contact $contact): RedirectResponse
    {
        EditContact::post($contact, $request->held($contact->account_id));

        return $this->done($contact, 'The position is kept.');
    }

    public function update(PositionRequest $request, Contact $contact, Position $post): RedirectResponse
    {
        EditContact::post($contact, $request->held($contact->account_id), $post);

        return $this->done($contact, 'The position is corrected, and what followed from it.');
    }

    public function destroy(Contact $contact, Position $post): RedirectResponse
    {
        EditContact::removePost($contact, $post);

        return $this->done($contact, 'The position is removed, and what followed from it.')->with('undo', Undo::by('post', route('posts.store', $contact), [
            'title' => $post->title, 'company' => $post->elsewhere($contact), 'since' => $post->since?->toDateString(), 'until' => $post->until?->toDateString(),
        ]));
    }

    private function done(Contact $contact, string $said): RedirectResponse
    {

        return redirect()->route('contacts.show', $contact)->with('said', $said);
    }
}
