@props(['row', 'account'])
<div class="border-bottom py-2" data-chosen="{{ $row->contact->id }}">
    <div class="hstack gap-2 align-items-baseline">
        <span><a href="{{ route('contacts.show',
            $row->contact) }}"><strong>{{ $row->contact->name() }}</strong></a>@if ($row->contact->title),
            {{ $row->contact->title }}@endif</span>
        <span class="ms-auto font-figure fs-5 fw-semibold" title="Priority of this person">{{ $row->priority() }}</span>
    </div>
    <div class="d-flex flex-wrap gap-2 align-items-center">
        <span class="small text-body-secondary me-auto"><strong
            class="text-primary">{{ $row->part()?->label() ?? 'reached best' }}</strong>
            · {{ $row->reach->label() }}@if ($row->reservation) · <strong>reserved by you</strong>@endif</span>
        @if ($row->reservation)
            <x-form :to="route('reservations.destroy', $row->contact)" method="delete">
                <x-button small
                    aria-label="Undo the reservation of {{ $row->contact->name() }}">Undo</x-button></x-form>
        @else
            <x-form :to="route('reservations.store', $row->contact)">
                <x-button small aria-label="Reserve {{ $row->contact->name() }}">Reserve</x-button></x-form>
        @endif
        <x-button small :href="route('reasons.create', [$account, 'contact' => $row->contact->id])"
            aria-label="A reason for {{ $row->contact->name() }}">Reason</x-button>
    </div>
</div>
