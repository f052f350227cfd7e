{{-- Many values of a field, of which several are taken as one condition. --}}
@props(['page', 'facets'])
<x-form :to="route('finder.narrow')" class="vstack gap-1">
    <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
    <input type="hidden" name="{{ $page->nextStep('f') }}" value="{{ $facets->field->value }}">
    <div class="tall overflow-y-auto">
        @foreach ($facets->values as $facet)
            <div class="hstack gap-2"><x-tick name="{{ $page->nextStep('v') }}[]" :value="$facet->value"
                :label="$facet->label" /><span class="ms-auto small" data-count>{{ $facet->number }}</span></div>
        @endforeach
    </div>
    <div class="hstack gap-2 mt-1"><x-button small>Only these</x-button>
        <x-button small name="{{ $page->nextStep('x') }}" value="1">Without these</x-button></div>
</x-form>
