{{-- Notes of the team on an account, or on one of its people. --}}
@props(['notes', 'account', 'contact' => null])
<x-section title="Notes">
    @foreach ($notes as $note)
        <div class="border-bottom py-2">
            @if ($note->contact && ! $contact)<p class="small"><a href="{{ route('contacts.show',
                $note->contact) }}">{{ $note->contact->name() }}</a></p>@endif
            <p class="lines breaks">{{ $note->text }}</p>
            <div class="hstack gap-2 small text-body-secondary"><span>{{ $note->user->name }}, <x-ago
                :time="$note->created_at" /></span>
                @can('delete', $note)<x-form :to="route('notes.destroy', $note)" method="delete"><x-button small
                    kind="link">Remove</x-button></x-form>@endcan
            </div></div>
    @endforeach
    <x-form :to="route('notes.store', $account)" class="vstack gap-2 align-items-start mt-2">
        @if ($contact)<input type="hidden" name="contact_id" value="{{ $contact->id }}">@endif
        <x-field hidden class="w-100" label="Note" name="text" lines="2" aria-keyshortcuts="n"
            placeholder="A note for the team" required
            maxlength="5000" :value="old('text')" />
        <x-wrong for="contact_id" />
        <x-button small>Keep the note</x-button>
    </x-form>
</x-section>
