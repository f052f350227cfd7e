<x-layout title="Stories of {{ $offer->name }}" at="rules">
    <x-back :to="route('rules.edit', $offer)">Rules</x-back>
    <x-heading title="Stories" about="what we did for customers; the one of a company most like them is told">
        <x-button small kind="primary" :href="route('stories.create', $offer)">A new story</x-button>
    </x-heading>
    <ul class="list-unstyled mt-3 mb-0">
        @forelse ($stories as $one)
            <li class="row gx-0 border-top py-2">
                <div class="col-md-8"><a class="fw-bold" href="{{ route('stories.edit', $one['story']) }}">{{
                    $one['story']->name }}</a><br><span class="breaks">{{ $one['says'] }}</span></div>
                <div class="col-md-4 small text-body-secondary">{{ $one['about'] }}<br>{{ $one['state'] }}</div>
            </li>
        @empty<x-empty>No story is written yet. One with a figure in it convinces more than any claim.</x-empty>
        @endforelse
    </ul>
</x-layout>
