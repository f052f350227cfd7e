{{-- Whether an item is about an account. --}}
@props(['mention', 'open' => true])
@if ($open)
    <x-form :to="route('mentions.update', $mention)" method="patch" class="hstack gap-2 mt-1">
        <x-button small name="about" value="yes" aria-label="It is about {{ $mention->account->name }}">It is</x-button>
        <x-button small name="about" value="no" aria-label="It is not about {{ $mention->account->name }}">It is
            not</x-button>
    </x-form>
@elseif ($mention->decided_by)
    <x-form :to="route('mentions.destroy', $mention)" method="delete" class="mt-1">
        <x-button small kind="link" aria-label="Decide on {{ $mention->account->name }} anew">Decide anew</x-button>
    </x-form>
@endif
