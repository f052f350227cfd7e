<x-layout title="Alike" at="finder">
    <x-back :to="$page->list ? route('lists.show', $page->list) : route('finder')">{{ $page->list ? $page->list->name
        : 'Finder' }}</x-back>
    <x-heading title="Alike" :about="$page->about()">
        @unless ($page->isEmpty())
            @unless ($page->list)<x-button kind="primary" :href="$page->inFinder()">Narrow in the
                Finder</x-button>@endunless
            <x-button :href="$page->phrases()">Typical phrases</x-button>
        @endunless
    </x-heading>
    @if ($page->problem)<p class="alert alert-primary mt-3">{{ $page->problem }}</p>@endif
    <div class="row g-4 mt-0">
        <div class="col-lg-8">
            @if ($page->isEmpty())
                <x-empty>Begin with a handful of good ones: type their domains, paste how one describes itself, or take
                    those proposed here. Others like them stand here then, with the phrases they share.</x-empty>
                <div class="d-flex flex-wrap gap-2">@foreach ($page->proposals() as $one)<x-button
                    :href="$one['url']">Begin with {{ $one['says'] }}</x-button>@endforeach</div>
                @can('update', $offer)
                    <x-form :to="route('alike.answers')" method="patch" class="hstack gap-2 mt-3"><span
                        class="text-body-secondary">{{ $page->agreed() }}</span>
                        <x-button small kind="link" name="agreed" :value="$page->hasAgreed() ? '0' : '1'">{{
                            $page->hasAgreed() ? 'Take it back' : 'Let everybody' }}</x-button></x-form>
                @endcan
            @else
                <div aria-live="polite" class="mb-2">
                    @if ($page->effect())<p class="mb-1">{{ $page->effect() }}</p>@endif
                    @if ($page->drift())<p class="mb-1">{{ $page->drift() }}</p>@endif
                    @if ($page->keptOut())<p class="mb-1 text-body-secondary">{{ $page->keptOut() }}</p>@endif
                </div>
                <x-table :heads="['Account', 'What they share', '#Words', '#Trade', '#Size', '#Alike',
                    '-More or less']">
                    @foreach ($page->rows() as $row)
                        <tr data-row data-url="{{ route('accounts.show', $row['account']) }}">
                            <td><a class="fw-semibold text-body" href="{{ route('accounts.show',
                                $row['account']) }}">{{ $row['account']->name }}</a><br><span
                                class="small text-body-secondary">{{ $row['about'] }} · {{ $row['state'] }}</span></td>
                            <td><span class="small">{{ $row['phrases'] }}</span></td>
                            <td class="text-end small text-nowrap">{{ $row['text'] }}</td>
                            <td class="text-end small text-nowrap">{{ $row['industry'] }}</td>
                            <td class="text-end small text-nowrap">{{ $row['size'] }}</td>
                            <td class="text-end font-figure fs-5 fw-semibold text-nowrap">{{ $row['likeness'] }}</td>
                            <td class="text-nowrap small"><a href="{{ $row['more'] }}"
                                aria-label="Like this: {{ $row['account']->name }}">Like this</a><br>
                                <a class="text-plum" href="{{ $row['not'] }}"
                                aria-label="Not this: {{ $row['account']->name }}">Not this</a></td>
                        </tr>
                    @endforeach
                </x-table>
            @endif
        </div>
        <div class="col-lg-4 vstack gap-4">@include('alike.examples')</div>
    </div>
</x-layout>
