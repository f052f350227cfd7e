<x-layout title="Lists" at="lists">
    <x-heading title="Lists">
        @if (count($page->names()) > 1)<x-button opens="combine">Combine two lists</x-button>@endif
    </x-heading>
    <div x-data="rows" @keydown.window="press">
        @if ($page->watches() !== [])
            <h2 class="fs-6 text-body-secondary border-bottom mt-3 pb-1">Watches</h2>
            <div class="list-group list-group-flush">
                @foreach ($page->watches() as $watch)
                    <x-row :url="$watch['url']" :title="$watch['name']" :about="$watch['found']"
                        :badge="$watch['unread'] > 0 ? $watch['unread'].' unread' : null">
                        {{ $watch['about'] }}<br>{{ $watch['next'] }}</x-row>
                @endforeach
            </div>
            <h2 class="fs-6 text-body-secondary border-bottom mt-3 pb-1">Lists</h2>
        @endif
        <div class="list-group list-group-flush">
            @forelse ($page->lists() as $one)
                <x-row :url="$one['url']" :title="$one['list']->name" :about="$one['about']">
                    {{ $one['by'] }}, <x-ago :time="$one['list']->created_at" /><br>
                    @if ($one['good'])<strong>{{ $one['good'] }}</strong>, @endif{{ $one['judged'] }}</x-row>
            @empty
                <x-empty>No list yet. In the <a href="/finder">Finder</a>, narrow until it fits a week's work,
                    and keep what remains as a list.</x-empty>
            @endforelse
        </div>
    </div>
    @if (count($page->names()) > 1)
        <x-confirm id="combine" title="Combine two lists" :to="route('lists.combine')" does="Combine"
            :opens="$errors->hasAny(['name', 'how', 'first', 'second'])">
            <x-field label="First list" name="first" :options="$page->names()" :value="old('first')" />
            <x-field label="How" name="how" :options="App\View\Lists\ListsPage::HOW" :value="old('how')" />
            <x-field label="Second list" name="second" :options="$page->names()"
                :value="old('second', array_keys($page->names())[1])" />
            <x-field label="Name of the new list" name="name" required maxlength="100" :value="old('name')" />
        </x-confirm>
    @endif
</x-layout>
