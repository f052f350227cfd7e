@props(['page', 'inputs'])
<x-form :to="route('finder.narrow')" id="adding" class="card card-body mt-3">
    <h2>{{ ucfirst($inputs->field->label()) }}</h2>
    <div class="row g-3 measure mt-0">
        <input type="hidden" name="added" value="{{ $inputs->field->value }}">
        <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
        <x-finder.inputs :$inputs />
        <div class="col-12 hstack gap-2">
            <x-button kind="primary">Add</x-button><x-button :href="$page->address($page->search->steps)">Leave
                it</x-button>
        </div>
    </div>
</x-form>
