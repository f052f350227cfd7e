<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Contacts\EditContact;
use App\Events\RecordsExported;
use App\Http\Requests\ContactRequest;
use App\Http\Resources\ContactResource;
use App\Intake\ByHand;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Validation\Rule;

/** Contacts; of whoever asked not to be contacted nothing is given out but to admins. */
final class ContactController extends ApiController
{
    public function index(Request $request): AnonymousResourceCollection
    {
        self::asked($request, [
            'account' => ['nullable', 'integer'], 'email' => ['nullable', 'string', 'max:190'],
        ] + self::KEPT);
        $user = self::user($request);
        // Without what was asked for: an address in it would name somebody.
        RecordsExported::dispatch($user, 'api', $request->url());
        $query = Contact::query()->whereNull('merged_into')->with(ContactResource::PARTS)
            ->unless($user->role === Role::Admin, fn (Builder $q) => $q->whereNotIn('id', KeepOut::query()->inForce()
                ->where('type', KeepOutType::Contact)->where('reason', KeepOut::ASKED)->whereNotNull('contact_id')
                ->select('contact_id')))
            ->when($request->filled('account'), fn (Builder $q) => $q->where(
                'account_id', $request->integer('account'),
            ))
            ->when($request->filled('email'), fn (Builder $q) => $q->whereHas(
                'channels',
                fn (Builder $c) => $c->where('type', 'email')
                    ->where('value', mb_strtolower($request->string('email')->toString())),
            ));

        return ContactResource::collection(self::pages($request, self::kept($request, $query, 'contacts')));
    }

    public function show(Request $request, Contact $contact): ContactResource|RedirectResponse
    {
        self::mayBeGiven($contact, self::user($request));

        return $contact->merged_into === null ? new ContactResource($contact->load(ContactResource::PARTS))
            : redirect()->route('api.contacts.show', $contact->merged_into, 308);
    }

    public function store(ContactRequest $request, Account $account): JsonResponse
    {
        $contact = EditContact::add(
            $account, $request->fields(), $request->input('since'), $request->input('email'), $request->input('phone'),
            self::user($request),
        );

        return self::made(
            new ContactResource($contact->refresh()->load(ContactResource::PARTS)),
            route('api.contacts.show', $contact),
        );
    }

    public function update(ContactRequest $request, Contact $contact): ContactResource
    {
        self::mayBeGiven($contact, self::user($request));
        self::onlyIfSame($request, new ContactResource($contact->load(ContactResource::PARTS)));
        EditContact::change($contact, $request->fields());

        return new ContactResource($contact->refresh()->load(ContactResource::PARTS));
    }

    /** Another way to reach somebody. */
    public function channel(Request $request, Contact $contact): JsonResponse
    {
        self::mayBeGiven($contact, self::user($request));
        $request->validate([
            'type' => ['required', Rule::in(['email', 'phone', 'profile'])],
            'value' => ['required', 'string', 'max:190'],
        ]);
        ByHand::channel(
            $contact->load('account.places'), $request->string('type')->toString(),
            $request->string('value')->toString(),
        );

        return self::made(
            new ContactResource($contact->refresh()->load(ContactResource::PARTS)),
            route('api.contacts.show', $contact),
        );
    }

    private static function mayBeGiven(Contact $contact, User $user): void
    {
        abort_if(
            $user->role !== Role::Admin && EntriesInForce::now()->asked($contact->id), 403,
            'They asked not to be contacted; only an admin gives out what is known of them.',
        );
    }
}
