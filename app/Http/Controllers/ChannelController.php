<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Channels\Guesses;
use App\Contacts\EditContact;
use App\Intake\ByHand;
use App\Models\Channel;
use App\Models\Contact;
use App\Support\AccountIds;
use App\Support\Format;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Luftig\Core\Reach\AddressState;

/** Ways to reach a contact, added by hand, and what somebody found out about one. */
final class ChannelController extends Controller
{
    public function store(Request $request, Contact $contact): RedirectResponse
    {
        $request->validate(
            ['type' => ['required', 'in:email,phone,profile'], 'value' => ['required', 'string', 'max:190']],
            ['value.required' => 'Give the address or the number.'],
        );
        $channel = ByHand::channel(
            $contact, $request->string('type')->toString(), $request->string('value')->trim()->toString(),
        );

        return redirect()->route('contacts.show', $contact)->with('said', "{$channel->value} is added.")
            ->with('undo', Undo::by('delete', route('channels.destroy', [$contact, $channel])));
    }

    /** An address that is likely theirs, kept as a guess with its chance. */
    public function guess(Request $request, Contact $contact): RedirectResponse
    {
        $request->validate(['value' => ['required', 'string', 'max:190']]);
        $value = $request->string('value')->toString();
        $chance = Guesses::of($contact)[$value] ?? null;
        if ($chance === null) {
            return redirect()->route('contacts.show', $contact)
                ->withErrors(['value' => 'This address is no longer a guess for them.']);
        }
        $channel = ByHand::channel($contact, 'email', $value);
        $channel->update(['state' => AddressState::Guess, 'chance' => round($chance, 3)]);
        AccountIds::markStale([$contact->account_id]);

        return redirect()->route('contacts.show', $contact)
            ->with('said', "$value is kept as a guess, right by ".Format::percent($chance).'.')
            ->with('undo', Undo::by('delete', route('channels.destroy', [$contact, $channel])));
    }

    public function update(Request $request, Contact $contact, Channel $channel): RedirectResponse
    {
        $request->validate(['state' => ['required', Rule::enum(AddressState::class)]]);
        $before = $channel->state;
        EditContact::channel($contact, $channel, AddressState::from($request->string('state')->toString()));

        return redirect()->route('contacts.show', $contact)
            ->with('said', "{$channel->value}: {$channel->state->label()}.")
            ->with('undo', Undo::by(
                'patch', route('channels.update', [$contact, $channel]), ['state' => $before->value],
            ));
    }

    public function destroy(Contact $contact, Channel $channel): RedirectResponse
    {
        EditContact::channel($contact, $channel, null);

        return redirect()->route('contacts.show', $contact)->with('said', "{$channel->value} is removed.");
    }
}
