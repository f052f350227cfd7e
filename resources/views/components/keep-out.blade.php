@props(['account', 'next', 'contact' => null])
<x-confirm :id="$contact ? 'out-contact-'.$contact->id : 'out-'.$account->id"
    :title="'Keep out: '.($contact?->name() ?? $account->name)"
    :to="route('keep-out.store')" does="Keep out">
    <p class="text-body-tertiary">{{ $contact ? 'This person is' : 'The account and everybody in it are' }} left out of
        Today and of every
        list, for the whole team.</p>
    <input type="hidden" name="{{ $contact ? 'contact' : 'account' }}" value="{{ $contact->id ?? $account->id }}">
    <input type="hidden" name="next" value="{{ $next }}">
    <x-field label="Why" name="reason" required maxlength="190" placeholder="asked not to be contacted" />
    <x-field label="Until, if it ends" name="until" type="date" :min="today()->addDay()->toDateString()" />
</x-confirm>
