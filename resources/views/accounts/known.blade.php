<x-section title="Why it ranks where it ranks">
    @if ($page->points)<x-points :lines="$page->points->lines()" :total="$page->points->total()"
        :remark="$page->points->remark()" />
    @else<x-empty>Not computed yet; that takes a few seconds.</x-empty>@endif
</x-section>
@if ($page->story())
    <x-section title="Like them" :about="$page->story()['alike']"><p class="mt-2 mb-0 breaks">{{
        $page->story()['says'] }}</p></x-section>
@endif
<x-section title="What they run">
    @forelse ($page->technologies()->lines() as $one)
        <p class="mb-0 py-1"><span @class(['fw-semibold' => $one['says'] !== ''])>{{ $one['name'] }}</span>
            @if ($one['says'] !== '')<span class="badge border border-primary text-primary">{{ $one['says'] }}</span>
                @endif
            <span class="small text-body-secondary">{{ $one['seen'] }}</span></p>
    @empty<p class="mt-2">Unknown</p>@endforelse
</x-section>
<x-notes :notes="$page->account->notes" :account="$page->account" />
@if ($page->facts() !== [])
    <x-more says="What is known of it, and from where"><x-facts :facts="$page->facts()" class="mt-2" /></x-more>
@endif
@if ($page->approaches() !== [])
    <x-section title="Approaches">
        @foreach ($page->approaches() as $approach)
            <p class="small border-bottom py-2"><x-ago :time="$approach['at']" />: {{ $approach['says'] }} ·
                <strong>{{ $approach['result'] }}</strong></p>
        @endforeach
    </x-section>
@endif
