{{-- The controls for the values of a criterion, by how its field is tested. --}}
@props(['row'])
@if ($row->facts() !== [])<div class="row g-2 mb-2"><x-field width="col-8 col-md-4" label="Which fact"
    :name="$row->name('fact')" :options="$row->facts()" :value="$row->given('fact')"
    :hint="$row->factsFirst()" /></div>@endif
@if ($row->test() === 'range')
    <div class="row g-2">
        <x-field width="col-6 col-md-4" label="From" :name="$row->name('low')" :value="$row->given('low')"
            inputmode="text" :hint="$row->unit()" />
        <x-field width="col-6 col-md-4" label="To" :name="$row->name('high')" :value="$row->given('high')"
            inputmode="text" />
    </div>
@elseif ($row->test() === 'within')
    <div class="row g-2">
        <x-field width="col-8" label="Latitude, longitude" :name="$row->name('value')" :value="$row->given('value')" />
        <x-field width="col-4" label="Within km" :name="$row->name('low')" :value="$row->given('low')"
            inputmode="decimal" />
    </div>
@elseif ($row->test() === 'any')
    <x-picker :name="$row->name('any').'[]'" :chosen="$row->chosen()" :typed="$row->name('value')"
        :value="$row->given('value')"
        :label="'Any of these, by '.$row->field()->label()"
            :suggests="route('rules.suggest', ['field' => $row->field()->value])" />
    @if ($row->canBeNew())<div class="mt-2"><x-tick label="also what nobody here has yet" :name="$row->name('sure')"
        value="1" :checked="$row->given('sure') === '1'" /></div>@endif
@else
    <x-query :name="$row->name('value')" label="Words they use, as a query" :value="$row->given('value')" />
@endif
@if ($row->places() !== [])
    <div class="row g-2 mt-0"><x-field width="col-6 col-md-4" label="Asked of" :name="$row->name('where')"
        :options="$row->places()" :value="$row->given('where')" /></div>
@endif
