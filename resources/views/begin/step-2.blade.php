<x-form :to="route('begin.serves')" class="card card-body vstack gap-3 align-items-start">
    <h2>Whom {{ $page->name() ?: 'the offer' }} serves</h2>
    <x-field class="w-100 measure" label="They are" name="trade" :options="$page->trades()"
        :value="old('trade', $page->starter?->trade)" hx-get="{{ route('begin', ['step' => 2]) }}" hx-trigger="change"
        hx-target="#step" hx-select="#step" hx-swap="outerHTML" hx-include="this" />
    <div class="w-100">
        <p class="form-label">In one of these industries</p>
        <x-picker name="industries[]" :chosen="$page->chosen('industries')" typed="industries[]"
            label="Industries, by their names" :suggests="$page->suggests('industries')" />
        <x-wrong for="industries" />
    </div>
    <div class="w-100">
        <p class="form-label">In one of these countries</p>
        <x-picker name="countries[]" :chosen="$page->chosen('countries')" typed="countries[]"
            label="Countries, or several together, as Nordics" :suggests="$page->suggests('countries')" />
        <x-wrong for="countries" />
    </div>
    <div class="row g-2 w-100 measure">
        <x-field width="col-6" label="Heads, from" name="low" :value="old('low', $page->bound(0))" />
        <x-field width="col-6" label="to" name="high" :value="old('high', $page->bound(1))" />
    </div>
    <div class="w-100">
        <p class="form-label">Never in one of these</p>
        <x-picker name="not[]" :chosen="$page->chosen('not')" typed="not[]" label="Industries that are out"
            :suggests="$page->suggests('not')" />
        <x-wrong for="not" />
    </div>
    <p class="text-body-tertiary">What is unknown of an account never puts it out. More can be asked under Rules:
        revenue, growth, technologies, the words they use.</p>
    @if ($page->others() !== '')
        <p>The rules also ask {{ $page->others() }}. That stays as it is, and is changed under Rules.</p>
    @endif
    <x-button kind="primary">Next: who buys</x-button>
</x-form>
