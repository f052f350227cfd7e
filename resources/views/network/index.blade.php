<x-layout title="Network" at="network">
    <x-heading title="Network" :about="$page->about()">
        <x-button :href="$page->inFinder()">Narrow them in the Finder</x-button>
        <x-button :href="route('network.relations')">What I brought</x-button>
        <x-button :href="route('network.graph')">Export as GraphML</x-button>
        <x-button kind="primary" href="/intake">Bring an address book</x-button>
    </x-heading>
    <div class="row g-4 mt-0">
        <div class="col-lg-8">
            <x-section title="Whom we know, the best first">
                @if ($page->pages->isEmpty())
                    <x-empty>Nobody yet. Bring an address book, as a table or as vCards, or say where you worked and
                        studied: whoever was there at
                        that time is known.</x-empty>
                @else
                    <x-table :heads="['Contact', 'Account', 'Known to', '#Priority']">
                        @foreach ($page->rows() as $row)
                            <tr data-row data-url="{{ route('contacts.show', $row['contact']) }}">
                                <td><a class="fw-semibold text-body"
                                    href="{{ route('contacts.show',
                                    $row['contact']) }}">{{ $row['contact']->name() }}</a><br>
                                    <span class="small text-body-secondary">{{ $row['contact']->title
                                        ?? 'title unknown' }}</span></td>
                                <td><a href="{{ route('accounts.show',
                                    $row['contact']->account_id) }}">{{ $row['contact']->account->name }}</a></td>
                                <td class="small">@foreach ($row['ties'] as $tie)
                                    <span class="d-block"
                                        title="{{ $tie['because'] }}"><strong>{{ $tie['user']->name }}</strong>
                                        <span class="text-body-secondary">{{ $tie['known'] }}<span
                                            class="visually-hidden">,
                                                {{ $tie['because'] }}</span></span></span>@endforeach</td>
                                <td class="text-end font-figure fs-5 fw-semibold">{{ $row['priority'] }}</td>
                            </tr>
                        @endforeach
                    </x-table>
                    <x-pager :pages="$page->pages" />
                @endif
            </x-section>
        </div>
        <aside class="col-lg-4 vstack gap-3">
            @if ($asked = $page->asked())
                <x-section title="Who was asked" about="so that they are spared">
                    @foreach ($asked as $one)
                        <p class="border-bottom py-2 mb-0"><a href="{{ $one['last'] }}">{{ $one['name'] }}</a>, {{
                            $one['lately'] }}, {{ $one['came'] }}</p>
                    @endforeach
                </x-section>
            @endif
            @if ($introducers = $page->introducers())
                <x-section title="Best introducers" about="for the accounts that rank best">
                    @foreach ($introducers as $one)
                        <p class="border-bottom py-2 mb-0"><strong>{{ $one['name'] }}</strong>: {{ $one['says'] }}</p>
                    @endforeach
                </x-section>
            @endif
            @if ($gaps = $page->gaps())
                <x-section title="Gaps" about="where nobody of us has a way in">
                    @foreach ($gaps as $one)
                        <p class="border-bottom py-2 mb-0"><a href="{{ route('accounts.show', $one['id']) }}">{{
                            $one['name'] }}</a></p>
                    @endforeach
                </x-section>
            @endif
            @include('network.us')
        </aside>
    </div>
</x-layout>
