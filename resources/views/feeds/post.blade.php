<x-layout :title="$page->title()" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <x-heading :title="$page->title()" :about="$page->about()">
        @if ($page->contacts() !== [])<x-button kind="primary" :href="$page->inFinder()">Narrow in the
            Finder</x-button>@endif
    </x-heading>
    <p class="mt-2 breaks"><a href="{{ $page->address }}" rel="noreferrer noopener" target="_blank">{{ $page->address
        }}</a>@if ($page->author()) · by {{ $page->author() }}@endif</p>
    @if ($page->says())<blockquote class="measure">{{ $page->says() }}</blockquote>@endif
    @if ($page->problem())<p class="alert alert-danger">{{ $page->problem() }}</p>@endif
    @if ($page->isAsked())<p class="text-body-tertiary" hx-get="{{ request()->fullUrl() }}" hx-trigger="every 3s"
        hx-select="#main" hx-target="#main" hx-swap="outerHTML" aria-live="polite">It is being asked for …</p>@endif
    @if ($page->contacts() !== [])
        <x-section title="Whom we know">
            <x-table :heads="['Who', 'What they did', 'When']">
                @foreach ($page->contacts() as $one)
                    <tr data-row data-url="{{ $one['url'] }}"><td><a class="fw-semibold text-body"
                        href="{{ $one['url'] }}">{{ $one['name'] }}</a><br><span
                        class="small text-body-secondary">{{ $one['account'] }}</span></td>
                        <td>{{ $one['did'] }}@if ($one['quote'])<br><span
                            class="small text-body-secondary breaks">“{{ $one['quote'] }}”</span>@endif</td>
                        <td class="small"><x-ago :time="$one['at']" /></td></tr>
                @endforeach
            </x-table>
        </x-section>
    @endif
    @if ($page->candidates() !== [])
        <x-section title="The rest">
            <x-slot:about><a href="{{ route('candidates', ['tab' => 'people']) }}">take them in as
                candidates</a></x-slot>
            <x-table :heads="['Who', 'What they did', 'When']">
                @foreach ($page->candidates() as $one)
                    <tr data-row data-url="{{ $one['profile'] }}"><td><strong class="breaks">{{ $one['name']
                        }}</strong><br><span class="small text-body-secondary breaks">{{ $one['known'] }}</span></td>
                        <td>{{ $one['did'] }}</td><td class="small"><x-ago :time="$one['at']" /></td></tr>
                @endforeach
            </x-table>
        </x-section>
    @endif
    @if ($page->contacts() === [] && $page->candidates() === [] && ! $page->isAsked())<x-empty>Nobody is known to have
        done anything with it.</x-empty>@endif
</x-layout>
