<x-layout title="Finder" at="finder">
    <x-heading title="Finder">
        <x-slot:beside>
            <span class="hstack gap-1">
                @foreach ($page->subjects() as $subject => [$url, $current])
                    <a @class(['nav-link py-0 px-2 rounded', 'fw-semibold text-body' => $current]) href="{{ $url }}"
                        @if ($current) aria-current="true" @endif>{{ $subject }}</a>
                @endforeach
            </span>
        </x-slot:beside>
        <x-button small kind="link" :href="route('alike')">More like the best ones</x-button>
        @if ($page->search->steps !== [])
            <x-button small kind="link" :href="route('finder', ['on' => $page->search->subject->value])">Begin
                anew</x-button>
        @endif
    </x-heading>
    <x-finder.staircase :$page />
    @foreach ($page->hints() as $hint)<p class="small text-body-tertiary mt-1">{{ $hint }}</p>@endforeach
    <x-wrong for="pasted" />
    @if ($page->isFull())<p class="small text-body-tertiary mt-1">A search has at most {{ App\Finder\Search::MOST }}
        steps; remove one to add another.</p>@endif
    @if ($page->unknownCondition())
        <p class="small text-danger mt-1" role="alert">There is no condition called “{{ $page->unknownCondition() }}”;
            type to see those there are.</p>
    @endif
    @foreach ($page->otherMistakes() as $mistake)<p class="small text-danger mt-1"
        role="alert">{{ $mistake }}</p>@endforeach
    @if ($page->changed())<x-finder.change :$page :stair="$page->changed()" />@endif
    @if ($page->adds)<x-finder.add :$page :inputs="$page->adds" />@endif
    @if ($page->varied)<x-finder.vary :$page :varied="$page->varied" />@endif
    <div class="row g-4 mt-0">
        <section class="col-lg-8" x-data="ticks" @change="change"
            data-search="{{ route('finder', $page->search->parameters()) }}">
            @include('finder.found')
            <x-wrong :for="['rhythm', 'hour', 'time_zone', 'tag', ...old('rhythm') === null ? [] : ['name']]" />
            @if ($page->total > 0)
                <p class="small text-body-secondary mb-1" x-cloak x-show="any"><span x-text="says"></span>, over
                    all pages. <button class="btn btn-sm btn-link p-0 align-baseline" type="button"
                        @click="clear">Choose none</button></p>
                <x-finder.table :results="$page->results" />
                <x-pager :pages="$page->pages" />
            @else<x-empty>Nobody meets all of this. Each step says how many there would be without it.</x-empty>@endif
        </section>
        @if ($page->total > 0)<x-finder.facets :$page />@endif
    </div>
    @if ($page->total > 0)@include('finder.dialogs')@endif
</x-layout>
