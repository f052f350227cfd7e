<x-layout title="Spot check of {{ $page->list->name }}" at="lists">
    <x-back :to="route('lists.show', $page->list)">{{ $page->list->name }}</x-back>
    <h1>Spot check</h1>
    <div class="row g-4 mt-0">
        <section class="col-lg-8">
            @if ($page->card)
                <p class="text-body-secondary">{{ $page->left() }}</p>
                <x-record :card="$page->card" :to="route('lists.judge', $page->list)" field="fits" yes="Fits"
                    no="Does not" />
            @else<x-empty>{{ $page->nothingLeft() }}</x-empty>@endif
        </section>
        <aside class="col-lg-4">
            <div class="card card-body vstack gap-3">
                <h2>How good the list is</h2>
                @if ($page->isBegun())
                    <p><span class="font-figure fs-2 fw-bold">{{ $page->interval() }}</span><br>
                        <span class="small text-body-secondary">{{ $page->judged() }}</span></p>
                    <p class="text-body-tertiary">{{ $page->expected() }}</p>
                @else<p class="text-body-tertiary">Nothing is judged yet.</p>@endif
                @if ($page->shared !== [])
                    <h3>What the misses share</h3>
                    @foreach ($page->shared as $one)
                        <p><a href="{{ $one['url'] }}">{{ $one['says'] }}</a> <span
                            class="small text-body-secondary">{{ $one['misses'] }}</span></p>
                    @endforeach
                @endif
            </div>
        </aside>
    </div>
</x-layout>
