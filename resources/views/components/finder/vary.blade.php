@props(['page', 'varied'])
<section class="card card-body mt-3" aria-label="Vary {{ $varied->step->field->label() }}">
    <div class="hstack"><h2>{{ ucfirst($varied->step->field->label()) }}, varied</h2>
        <x-button small kind="link" class="ms-auto" :href="$page->address($page->search->steps)">Leave
            it</x-button></div>
    <div class="overflow-x-auto"><div class="staircase mt-2">
        @foreach ($varied->tried as $one)
            <a class="stair" href="{{ $one['url'] }}">
                <span class="well"><span class="column"><svg width="100%" height="{{ $one['height'] }}"
                    aria-hidden="true"></svg>
                    <span class="figure">{{ $one['number'] }}</span></span></span>
                <span class="d-block small px-2 pt-1 breaks">{{ $one['says'] }}</span></a>
        @endforeach
    </div></div>
    @if ($varied->isTyped())
        <x-form method="get" :to="route('finder')" class="d-flex flex-wrap gap-2 align-items-end mt-3">
            <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
            <input type="hidden" name="vary" value="{{ $varied->at }}">
            <x-field class="flex-grow-1" :label="$varied->asks()" name="over" lines="2" maxlength="2000"
                :value="$varied->lines" />
            <x-button>Try</x-button>
        </x-form>
    @endif
</section>
