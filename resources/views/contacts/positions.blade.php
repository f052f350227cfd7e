@foreach ($page->positions() as $one)
    <div class="row g-2 border-bottom py-2">
        <span class="col-4 small text-body-secondary">{{ $one['months'] }}</span>
        <div class="col-8">
            <strong>{{ $one['title'] }}</strong> @if ($one['position']->by_hand)<span
            class="badge bg-body-secondary">set by hand</span>@endif<br>
            <span class="small text-body-tertiary">@if ($one['account'])<a
                href="{{ route('accounts.show', $one['account']) }}">{{ $one['company'] }}</a>
                @else{{ $one['company'] }}@endif</span>
            <x-more says="Correct" class="small">
                <x-form :to="route('positions.update', [$page->contact, $one['position']])" method="patch"
                    class="vstack gap-2 align-items-start py-2">
                    <x-contacts.position-fields :position="$one['position']" :contact="$page->contact" />
                    <x-button small>Keep</x-button>
                </x-form>
                <x-form :to="route('positions.destroy', [$page->contact, $one['position']])" method="delete">
                    <x-button small kind="link">Remove this position</x-button></x-form>
            </x-more>
        </div>
    </div>
@endforeach
<x-more says="Add a position" class="mt-2">
    <x-form :to="route('positions.store', $page->contact)" class="vstack gap-2 align-items-start py-2">
        <x-contacts.position-fields :contact="$page->contact" />
        <x-button small>Add</x-button>
    </x-form>
</x-more>
