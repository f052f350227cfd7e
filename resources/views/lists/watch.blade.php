<x-layout :title="$page->watch->name" at="lists">
    <x-back :to="route('lists.index')">Lists</x-back>
    <x-heading :title="$page->watch->name" :about="$page->about()">
        <x-button kind="primary" :href="$page->today()">The search today</x-button>
        @can('update', $page->watch)
        @if ($page->unread > 0)<x-form :to="route('watches.read', $page->watch)"><x-button>All
            read</x-button></x-form>@endif
        <x-button opens="change">Change</x-button>
        @if ($page->newcomers() !== [])<x-button opens="collect">Add newcomers to a list</x-button>@endif
        <x-form :to="route('watches.destroy', $page->watch)" method="delete"><x-button>Watch no
            longer</x-button></x-form>
        @endcan
    </x-heading>
    <p class="text-body-tertiary my-3"><x-made-by :steps="$page->steps()" /></p>
    @if ($page->newcomers() === [])<x-empty>Nobody new since it began. Those who were there then are not shown
        here.</x-empty>
    @else
        <x-table :heads="['Newcomer', 'What made it new', 'Found', '#Priority']">
            @foreach ($page->newcomers() as $one)
                <tr data-row data-url="{{ $one['url'] }}">
                    <td><a @class(['text-body', 'fw-semibold' => $one['isUnread']])
                        href="{{ $one['url'] }}">{{ $one['name'] }}</a>
                        @if ($one['isUnread'])<span class="badge border border-primary text-primary">unread</span>
                            @endif<br>
                        <span class="small text-body-secondary">{{ $one['about'] }}</span></td>
                    <td class="breaks">{{ $one['why'] }}</td><td class="small"><x-ago :time="$one['at']" /></td>
                    <td class="text-end font-figure fs-4 fw-semibold">{{ $one['priority'] }}</td>
                </tr>
            @endforeach
        </x-table>
    @endif
    @can('update', $page->watch)
        <x-confirm id="change" title="Change {{ $page->watch->name }}" :to="route('watches.update', $page->watch)"
            method="patch" does="Keep" :opens="$errors->hasAny(['name', 'rhythm', 'weekday', 'hour', 'time_zone'])">
            <x-field label="Name" name="name" required maxlength="100" :value="old('name', $page->watch->name)" />
            <x-watch-fields :watch="$page->watch" />
            <p class="small text-body-tertiary">What it looks for is changed in the Finder: open the search today,
                change its steps, and watch them as this one.</p>
        </x-confirm>
    @endcan
    @if ($page->newcomers() !== [])
        <x-collect id="collect" title="Add newcomers to a list" :subject="$page->watch->subject" :lists="$page->lists()"
            :people="$page->choices()" />
    @endif
</x-layout>
