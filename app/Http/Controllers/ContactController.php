<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\EditContact;
use App\Contacts\EraseContact;
use App\Http\Requests\ContactRequest;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\View\Contacts\ContactPage;
use App\View\Contacts\ContactsPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class ContactController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('contacts.index', [
            'page' => ContactsPage::of($offer, $request->query->all(), self::page($request)),
        ]);
    }

    public function show(Request $request, Offer $offer, Contact $contact): View|RedirectResponse
    {
        if ($contact->merged_into !== null) {
            return redirect()->route('contacts.show', $contact->merged_into);
        }

        return view('contacts.show', ['page' => ContactPage::of($offer, $contact, self::user($request))]);
    }

    /** Somebody whom no file brought. */
    public function store(ContactRequest $request, Account $account): RedirectResponse
    {
        $contact = EditContact::add(
            $account,
            $request->fields(),
            $request->input('since'),
            $request->input('email'),
            $request->input('phone'),
            self::user($request),
        );

        return redirect()->route('accounts.show', $account)->with('said', $contact->name().' is added.');
    }

    public function update(ContactRequest $request, Contact $contact): RedirectResponse
    {
        EditContact::change($contact, $request->fields());

        return redirect()->route('contacts.show', $contact)
            ->with('said', 'Kept. No file will change what you set by hand.');
    }

    /** On request of the person; there is no way back. */
    public function destroy(Request $request, Contact $contact): RedirectResponse
    {
        if (mb_strtolower($request->string('sure')->trim()->toString()) !== mb_strtolower($contact->name())) {
            return back()->withErrors(
                ['sure' => 'To erase this person, type the name exactly as it stands above. Nothing was erased.'],
            );
        }
        $account = $contact->account;
        EraseContact::erase($contact, self::user($request));

        return redirect()->route('accounts.show', $account)
            ->with('said', 'The person is erased, and no file will bring them back.');
    }
}
