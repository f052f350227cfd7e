@props(['row', 'names', 'moved' => false])
<div @class(['group-person', 'active' => $moved]) tabindex="0" role="group" data-contact="{{ $row->contact->id }}"
    data-in="{{ $row->part()?->value ?? 'out' }}" @if ($moved) data-moved @endif
    aria-label="{{ $row->contact->name() }}, {{ $row->part()?->label() ?? 'takes no part' }}">
    <div class="min-w-0">
        <a class="text-body" href="{{ route('contacts.show',
            $row->contact) }}"><strong>{{ $row->contact->name() }}</strong></a>
        <span class="small text-body-tertiary">{{ $row->contact->title ?? 'title unknown' }}</span>
        @if ($row->isByHand())<span
            class="badge bg-body-secondary" title="{{ $row->byHand() }}">set by hand</span>@endif<br>
        <span class="small text-body-secondary">{{ $row->about($names[$row->place?->reports_to]
            ?? null) }}@if ($row->why()) ·
            <span data-why>{{ $row->why() }}</span>@endif</span>
    </div>
    <span class="text-body-secondary" title="Priority of this person">{{ $row->priority() }}</span>
    <div class="dropdown">
        <button class="btn btn-sm p-0 text-body-secondary" type="button" data-bs-toggle="dropdown"
            data-bs-auto-close="outside"
            aria-expanded="false" aria-label="Change the part of {{ $row->contact->name() }}">⋯</button>
        <div class="dropdown-menu dropdown-menu-end p-3">
            <x-form :to="route('group.update', [$row->contact->account_id, $row->contact])" method="patch"
                class="vstack gap-2"
                hx-patch="{{ route('group.update', [$row->contact->account_id, $row->contact]) }}" hx-target="#group"
                    hx-swap="outerHTML">
                <x-field label="Part" name="part" :options="$row->choices()" />
                <x-field label="Reports to" name="reports_to" list="people-of-group" placeholder="not known"
                    :value="$names[$row->place?->reports_to] ?? ''" autocomplete="off" />
                <x-button kind="primary">Set</x-button>
            </x-form>
        </div>
    </div>
</div>
