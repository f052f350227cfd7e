<div class="d-flex flex-wrap gap-2 align-items-center mt-3">
    @unless ($page->isOut())
        <x-button kind="primary" key="r" :href="route('reasons.create', [$page->account,
            'contact' => $page->contact->id])">Record the reason</x-button>
        @if ($page->isMine())
            <x-form :to="route('reservations.destroy', $page->contact)" method="delete"><x-button>Undo the
                reservation</x-button></x-form>
        @elseif ($page->heldBy())<span class="small text-body-secondary">{{ $page->heldBy() }}</span>
        @else
            <x-form :to="route('reservations.store', $page->contact)"><x-button>Reserve</x-button></x-form>
        @endif
        <x-button key="x" opens="out-contact-{{ $page->contact->id }}">Keep out</x-button>
    @endunless
    <x-button key="a" opens="collect">Add to a list</x-button>
    <x-button opens="edit-contact">Correct</x-button>
    <x-button :href="route('contacts.card', $page->contact)">vCard</x-button>
</div>
<x-wrong :for="['taken', 'reason', 'until', 'kind']" />
@if ($page->row?->why() && ! $page->isOut())
    <p class="small text-body-tertiary mt-2">Not among those to contact now: {{ $page->row->why() }}.</p>
@endif
