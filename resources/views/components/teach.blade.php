{{-- What a title means, taught once for all. --}}
@use('Luftig\Core\Person\Seniority')
@props(['text', 'reading'])
<x-form :to="route('titles.store')" class="row g-3 py-2">
    <input type="hidden" name="title" value="{{ $text }}">
    <x-field width="col-md-4" label="Stands as" name="seniority" :options="App\View\Choices::of(Seniority::class)"
        :value="$reading->seniority->value" />
    <fieldset class="col-md-8">
        <legend class="form-label fs-6 mb-1">Works on</legend>
        <div class="d-flex flex-wrap column-gap-3">
            <x-ticks name="functions[]" :options="App\Support\FunctionNames::all()"
                :chosen="array_column($reading->functions(), 'value')" />
        </div>
    </fieldset>
    <div class="col-12"><x-button small>Teach</x-button></div>
</x-form>
