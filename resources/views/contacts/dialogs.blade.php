<x-keep-out :account="$page->account" :contact="$page->contact" :next="'/contacts/'.$page->contact->id" />
<x-collect id="collect" title="Add {{ $page->contact->name() }} to a list" subject="contacts" :lists="$page->lists()"
    :only="[$page->contact->id]" />
<x-confirm id="edit-contact" title="Correct {{ $page->contact->name() }}" :to="route('contacts.update', $page->contact)"
    method="patch" does="Keep"
    :opens="$errors->hasAny(['first_name', 'last_name', 'title', 'city', 'country', 'profile', 'about'])">
    <p class="text-body-tertiary">What you set by hand stays, whatever later files say.</p>
    <div class="row g-3">
        @foreach ($page->correctable() as $field => [$label, $most])
            <x-field width="col-md-6" :$label :name="$field" :maxlength="$most"
                :value="old($field, $page->contact->$field)" />
        @endforeach
    </div>
    <x-field label="About" name="about" lines="3" maxlength="5000" :value="old('about', $page->contact->about)" />
</x-confirm>
@can('erase', $page->contact)
    <x-confirm id="erase" title="Erase {{ $page->contact->name() }}" :to="route('contacts.erase', $page->contact)"
        method="delete" does="Erase"
        kind="danger" :opens="$errors->has('sure')">
        <p class="text-body-tertiary">Everything that is kept of this person goes: channels, positions, signals, and the
            name in reasons and
            notes. A fingerprint that tells nothing stays, so that no file brings them back. This cannot be undone; save
            <a href="{{ route('contacts.known', $page->contact) }}">the file of what is known</a> first,
            should they ask for it.</p>
        <x-field label="Type the name to be sure" name="sure" required autocomplete="off" />
    </x-confirm>
@endcan
