@if ($page->order)
    <div class="hstack gap-3 border-top pt-2"><p class="mb-0"><strong>Standing order.</strong>
        {{ $page->ordered() }}</p>
        <x-form :to="route('orders.destroy', $page->order)" method="delete" class="ms-auto"><x-button small
            class="text-nowrap">End it</x-button></x-form></div>
@endif
<x-more :says="$page->order ? 'Change the order' : 'Order it for every night'" class="pt-2"
    :open="$errors->hasAny(['credits', 'least'])">
    <x-form :to="route('orders.store')" class="vstack gap-2 align-items-start mt-2">
        <div class="row g-3 w-100">
            <x-field width="col-md-6" label="Credits a month, at most" name="credits" type="number" min="1" step="any"
                required :value="old('credits', $page->order?->credits)" />
            <x-field width="col-md-6" label="Only from this priority on" name="least" type="number" min="0" max="100"
                step="any" hint="Empty: whatever its priority." :value="old('least', $page->order?->least)" />
        </div>
        <label><input class="form-check-input" type="checkbox" name="accepts_doubtful" value="1"
            @checked(old('accepts_doubtful', $page->order?->accepts_doubtful))> Be content with a doubtful
            address</label>
        <p class="form-text mb-0">What pays is bought each night without a click, within these credits and your budget.
            Every question stands in the ledger.</p>
        <x-button small>{{ $page->order ? 'Change it' : 'Order it' }}</x-button>
    </x-form>
</x-more>
