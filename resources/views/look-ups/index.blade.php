<x-layout title="Look-ups" at="look-ups">
    <x-heading title="Look-ups" :about="$page->about()">
        <x-button :href="route('look-ups.ledger')">Ledger</x-button>
        @can('create', App\Models\LookUpService::class)<x-button :href="route('services.create')">Add a
            service</x-button>@endcan
    </x-heading>
    <x-wrong :for="['contacts', 'list', 'most', 'figures', 'figures*']" />
    <div class="row g-4 mt-0">
        <div class="col-lg-8 vstack gap-4">
            <x-section title="Where a look-up pays" about="addresses that would move the ranking most">
                @if (! $page->pays->isAny())<p class="mt-2">{{ $page->pays->says() }}</p>
                @else
                    <x-form :to="route('look-ups.create')" method="get">
                        <div class="hstack gap-3 my-2"><p class="mb-0">{{ $page->pays->says() }}</p>
                            <x-button kind="primary" class="ms-auto text-nowrap">Ask for these
                                {{ count($page->pays->rows()) }}</x-button></div>
                        <x-table :moves="false" :heads="['Whom one would contact first', 'Likely by', '#Chance',
                            '#Priority', '#With it', '#Gain', '#Credits']">
                            @foreach ($page->pays->rows() as $row)
                                <tr><td><input type="hidden" name="contacts[]" value="{{ $row['contact'] }}"><a
                                    class="fw-semibold text-body"
                                    href="{{ route('contacts.show', $row['contact']) }}">{{ $row['name'] }}</a>
                                        <span class="small text-body-secondary">{{ $row['title'] }}, <a
                                            class="text-body-secondary" href="{{ route('accounts.show',
                                            $row['account']) }}">{{ $row['company'] }}</a></span></td>
                                    <td><span class="small">{{ $row['service'] }}</span></td>
                                    <td class="text-end">{{ $row['chance'] }}</td>
                                    <td class="text-end">{{ $row['now'] }}</td>
                                    <td class="text-end fw-semibold">{{ $row['with'] }}</td>
                                    <td class="text-end text-primary">{{ $row['gain'] }}</td>
                                    <td class="text-end">{{ $row['price'] }}</td></tr>
                            @endforeach
                        </x-table>
                        <p class="form-text">Gain: the chance × what the priority would rise by × the part of a day’s
                            plan it would enter. All services are asked in order until one finds a checked address.</p>
                    </x-form>
                @endif
                @include('look-ups.order')
            </x-section>
            @if ($page->pays->figures() !== []) @include('look-ups.figures') @endif
            <x-section title="What was asked">
                @if ($page->runs->isEmpty())
                    <x-empty>Nobody was asked for yet. Begin with those above, with a list of contacts, or with somebody
                        on their own page.</x-empty>
                @else
                    <x-table :heads="['For whom', 'Begun', '#People', '#Found', '#Credits', 'State']" :moves="false">
                        @foreach ($page->rows() as $row)
                            <tr><td><a class="fw-semibold text-body breaks" href="{{ route('look-ups.run',
                                $row['run']) }}">{{ $row['run']->name }}</a></td>
                                <td class="small">{{ $row['run']->user->name }}, <x-ago
                                    :time="$row['run']->created_at" /></td>
                                <td class="text-end">{{ $row['people'] }}</td>
                                <td class="text-end">{{ $row['found'] }}</td>
                                <td class="text-end">{{ $row['took'] }}</td>
                                <td class="small">{{ $row['state'] }}</td></tr>
                        @endforeach
                    </x-table>
                    <x-pager :pages="$page->runs" />
                @endif
            </x-section>
        </div>
        <div class="col-lg-4 vstack gap-4">
            @include('look-ups.spending')
        </div>
    </div>
</x-layout>
