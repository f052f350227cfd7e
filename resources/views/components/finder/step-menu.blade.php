@props(['stair', 'page'])
<div class="dropdown">
    <a class="text-body-secondary px-1" href="{{ $stair->edited() }}" role="button" data-bs-toggle="dropdown"
        data-bs-auto-close="outside"
        data-bs-popper-config='{"strategy":"fixed"}' aria-expanded="false"
        aria-label="Change this step: {{ $stair->step()->field->label() }}">⋯</a>
    <div class="dropdown-menu p-3">
        <x-form :to="route('finder.narrow')" class="row g-2">
            <x-finder.hidden :subject="$page->search->subject" :steps="$stair->others()" />
            <x-finder.inputs :inputs="$stair->inputs()" />
            <div class="col-12"><x-button small kind="primary">Set</x-button></div>
        </x-form>
        <div class="d-flex flex-wrap gap-2 mt-3">
            <x-button small :href="$stair->switched()">{{ $stair->step()->isOff() ? 'Switch on'
                : 'Switch off' }}</x-button>
            @if ($stair->earlier())<x-button small :href="$stair->earlier()"
                aria-label="Move {{ $stair->step()->field->label() }} one earlier">←</x-button>@endif
            @if ($stair->later())<x-button small :href="$stair->later()"
                aria-label="Move {{ $stair->step()->field->label() }} one later">→</x-button>@endif
            <x-button small :href="$stair->varied()">Vary</x-button>
            <x-button small :href="$stair->removed()">Remove</x-button>
        </div>
    </div>
</div>
