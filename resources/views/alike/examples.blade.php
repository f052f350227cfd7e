@unless ($page->isEmpty())
    <x-section title="Examples" about="how like the others">
        @foreach ($page->examples() as $one)
            <div class="hstack gap-2 border-bottom py-2"><span class="breaks">@if ($one['url'])<a
                href="{{ $one['url'] }}">{{ $one['name'] }}</a>@else{{ $one['name'] }}@endif</span>
                <span class="ms-auto text-body-secondary">{{ $one['pull'] }}</span>
                <a class="small text-nowrap" href="{{ $one['without'] }}"
                    aria-label="Take out {{ $one['name'] }}">Take out</a></div>
        @endforeach
        <p class="mt-2 mb-0">{{ $page->coherence() }}</p>
        @if ($odd = $page->odd())<p class="mt-2 mb-0"><strong>{{ $odd['name'] }}</strong> stands apart from the others;
            {{ $odd['others'] }}. <a href="{{ $odd['url'] }}">Go on without it</a></p>@endif
    </x-section>
    @if ($page->counterExamples() !== [])
        <x-section title="Not like">
            @foreach ($page->counterExamples() as $one)
                <div class="hstack gap-2 border-bottom py-2"><span class="breaks">{{ $one['name'] }}</span>
                    <a class="small ms-auto" href="{{ $one['without'] }}"
                        aria-label="Take out {{ $one['name'] }}">Take out</a></div>
            @endforeach
            @if ($page->traits() !== [])
                <p class="mt-2 mb-1">What they share, and the examples do not; leave it out in the Finder:</p>
                @foreach ($page->traits() as $one)<a class="d-block py-1" href="{{ $one['url'] }}">without
                    {{ $one['says'] }}</a>@endforeach
            @endif
        </x-section>
    @endif
@endunless
<x-section title="Add">
    <x-form :to="route('alike.add')" class="vstack gap-2 mt-2">
        <input type="hidden" name="e" value="{{ $page->carried()['e'] }}"><input type="hidden" name="x"
            value="{{ $page->carried()['x'] }}">
        <x-field label="Domains" name="domains" lines="2" :value="old('domains')"
            hint="Whoever is not in the base is read on their own site." />
        <x-field label="Or how somebody describes themselves" name="text" lines="3"
            :value="old('text')" />
        <x-field label="As" name="as" :options="['example' => 'an example', 'counter' => 'a counter-example']"
            :value="old('as', 'example')" />
        <div><x-button :kind="$page->isEmpty() ? 'primary' : 'plain'">Add</x-button></div>
    </x-form>
</x-section>
