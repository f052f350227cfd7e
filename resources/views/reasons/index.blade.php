<x-layout title="Reasons" at="reasons">
    <x-heading title="Reasons">
        <form method="get" role="search" class="hstack gap-2">
            <input type="hidden" name="state" value="{{ $page->state }}">
            <x-field hidden label="Words or account" name="q" id="q" type="search" :value="$page->search"
                placeholder="Words or account" />
            <x-button>Search</x-button></form>
    </x-heading>
    <x-tabs :tabs="$page->tabs()" label="States" />
    <div class="list-group list-group-flush" x-data="rows" @keydown.window="press">
        @forelse ($page->rows() as $row)
            <x-row :url="$row['url']" :title="$row['title']"
                :about="$row['words']">{{ $row['by'] }}<br>{{ $row['when'] }}
                @if ($row['result'])<br><strong>{{ $row['result'] }}</strong>@endif
                <x-slot:below>@includeWhen($row['open'], 'reasons.results')</x-slot:below></x-row>
        @empty
            <x-empty>@if ($page->search !== '') No reason here has “{{ $page->search }}” in it.
                @elseif ($page->state === 'ready') No reason is ready. On <a href="/">Today</a> or on an account,
                    press R to record one.
                @elseif ($page->state === 'used') No reason was used yet.
                @elseif ($page->state === 'open') Every approach has its result.
                @else None has expired. @endif</x-empty>
        @endforelse
    </div>
    <x-pager :pages="$page->reasons" />
</x-layout>
