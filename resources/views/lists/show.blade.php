<x-layout :title="$page->list->name" at="lists">
    <x-back :to="route('lists.index')">Lists</x-back>
    <x-heading :title="$page->list->name" :about="$page->about()">
        @can('update', $page->list)
            <x-button kind="primary" :href="route('lists.sample', $page->list)">Spot check</x-button>
            <x-button :href="route('lists.steps', $page->list)">Step through</x-button>
        @endcan
        <x-button :href="route('lists.reasons', $page->list)" key="r">Reasons for them</x-button>
        <x-button :href="$page->inFinder()">Open in the Finder</x-button>
        @unless ($page->isOfAccounts())<x-button :href="route('look-ups.create', ['list' => $page->list->id])">Look up
            addresses</x-button>@endunless
        @if ($page->isOfAccounts())<x-button :href="$page->people()">Its contacts</x-button>
            <x-button :href="route('alike.phrases', ['list' => $page->list->id])">Typical phrases</x-button>
            <x-button :href="$page->alike()">How alike</x-button>@endif
        <x-button opens="split">Split into batches</x-button>
        @if ($page->mayTry())<x-button opens="trial">A trial first</x-button>@endif
        <x-button opens="tag">Tag them</x-button>
        <x-form :to="route('alerts.store')"><input type="hidden" name="about" value="list"><input type="hidden"
            name="list_id" value="{{ $page->list->id }}"><input type="hidden" name="ways[]" value="on_today">
            <x-button>Alert me</x-button></x-form>
        @can('update', $page->list)
            <x-form :to="route('lists.destroy', $page->list)" method="delete"><x-button>Remove</x-button></x-form>
        @endcan
    </x-heading>
    @if ($trial = $page->trial())
        <div class="card card-body flex-row flex-wrap gap-3 align-items-center mt-3">
            <p>Held until the answers of <a href="{{ route('lists.show',
                $trial['list']) }}">{{ $trial['list']->name }}</a> are in:
                {{ $trial['says'] }} @if ($trial['isIn'])<strong>They are in.</strong>@endif</p>
            @can('update', $page->list)
                <x-form :to="route('lists.release', $page->list)" method="delete" class="ms-auto">
                    <x-button>{{ $trial['isIn'] ? 'Go on with it' : 'Go on all the same' }}</x-button></x-form>
            @endcan
        </div>
    @endif
    @if ($back = $page->bounces())<p class="mt-3 mb-0">{{ $back['says'] }} @if ($back['warns'])<strong
        class="text-danger">Above 5 % a sender’s name suffers.</strong> Split it by best channel, and leave the doubtful
        ones apart.@endif</p>@endif
    @if ($page->isByHand())<p class="text-body-tertiary mt-3">Collected by hand.</p>
    @else<p class="text-body-tertiary mt-3">Made by: <x-made-by :steps="$page->steps()" />{{ $page->atMost() }};
        <a href="{{ $page->sameSearch() }}">the same search today</a> {{ $page->since() }}</p>@endif
    <div class="mt-3" x-data="ticks" @change="change" data-search="{{ route('lists.show', $page->list) }}">
        @can('update', $page->list)<x-form :to="route('members.destroy', $page->list)" method="delete" id="keep-form"
            class="hstack gap-2" x-cloak x-show="any"><span class="small text-body-secondary" x-text="says"></span>
            <x-button small>Remove from the list</x-button></x-form>@endcan
        <x-finder.table :results="$page->results" /></div>
    <x-pager :pages="$page->pages" />
    <x-confirm id="split" title="Split into batches" :to="route('lists.split', $page->list)" does="Split"
        :opens="$errors->hasAny(['by', 'parts'])">
        <p class="text-body-tertiary">Each part becomes a list; this one stays.</p>
        <x-field label="By" name="by" :options="$page->splits()" :value="old('by')" />
        <x-field label="Parts, if evenly" name="parts" type="number" min="2" max="20" :value="old('parts', 2)" />
    </x-confirm>
    <x-confirm id="trial" title="A trial first" :to="route('lists.trial', $page->list)" does="Draw the trial"
        :opens="$errors->has('trial')">
        <p class="text-body-tertiary">The rest becomes a list that is held until the answers are in.</p>
        <x-field label="So many, drawn evenly" name="trial" type="number" min="1" :max="$page->size - 1"
            :value="$page->proposedTrial()" />
    </x-confirm>
    <x-confirm id="tag" title="Tag them" :to="route('tags.store')" does="Tag all" :opens="$errors->has('tag')">
        <input type="hidden" name="subject" value="{{ $page->list->subject }}"><input type="hidden" name="list"
            value="{{ $page->list->id }}">
        <x-field label="Tag" name="tag" required maxlength="60" list="tags" />
        <datalist id="tags">@foreach ($page->tags() as $tag)<option>{{ $tag }}</option>@endforeach</datalist>
    </x-confirm>
</x-layout>
