{{-- A step that is changed, or that cannot be used: under the staircase, where it covers no other. --}}
@props(['page', 'stair'])
<x-form :to="route('finder.narrow')" id="changing" class="card card-body mt-3">
    <h2>{{ ucfirst($stair->label()) }}</h2>
    @if ($stair->mistake)<p class="text-danger mb-2" role="alert">{{ $stair->mistake }}</p>@endif
    <div class="row g-3 measure mt-0">
        <x-finder.hidden :subject="$page->search->subject" :steps="$stair->others()" />
        <x-finder.inputs :inputs="$stair->inputs()" />
        <div class="col-12 hstack gap-2">
            <x-button kind="primary">Set</x-button>
            <x-button :href="$stair->removed()">Remove the step</x-button>
        </div>
    </div>
</x-form>
