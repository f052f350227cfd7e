<x-layout title="Relations" at="network">
    <x-back :to="route('network')">Network</x-back>
    <h1>Relations that I brought, or that are mine</h1>
    <x-wrong :for="['sure', 'user', 'source']" />
    @if ($page->books === [])
        <x-empty>None yet. <a href="/intake">Bring an address book</a>, as a table or as vCards, and say that its
            rows are people whom one of us knows.</x-empty>
    @else
        <div class="row g-4 mt-0">
            <section class="col-lg-8">
                <form method="get" class="hstack gap-2 mb-3" role="search">
                    <x-field hidden label="Find" name="find" type="search" :value="$page->find"
                        placeholder="A person or domain" />
                    <x-button>Find</x-button></form>
                <x-table :heads="['Person', 'Known to', '#Strength', 'Here as', '-Withdraw']" :moves="false">
                    @foreach ($page->relations as $relation)
                        <tr><td><strong>{{ $relation->person }}</strong><br><span
                            class="small text-body-secondary breaks">{{
                                $relation->email ?? $relation->profile ?? $relation->domain }}</span></td>
                            <td class="small">{{ $relation->user->name }}<br><span
                                class="text-body-secondary">{{ $page->about($relation) }}</span></td>
                            <td class="text-end">{{ App\Support\Format::percent($relation->strength()) }}</td>
                            <td class="small">@if ($relation->contact)<a
                                href="{{ route('contacts.show',
                                $relation->contact) }}">{{ $relation->contact->account->name }}</a>
                                @else<span class="text-body-secondary">no contact yet</span>@endif</td>
                            <td class="text-end"><x-form :to="route('network.withdraw', $relation)" method="delete">
                                <x-button small kind="link"
                                    aria-label="Withdraw {{ $relation->person }}">Withdraw</x-button></x-form></td></tr>
                    @endforeach
                </x-table>
                <x-pager :pages="$page->relations" />
            </section>
            <aside class="col-lg-4"><div class="card card-body vstack gap-2"><h2>Books</h2>
                @foreach ($page->books as $book)
                    <x-more :says="$book['says']">
                        <x-form :to="route('network.withdraw-all')" method="delete"
                            class="vstack gap-2 align-items-start py-2">
                            <input type="hidden" name="user" value="{{ $book['user'] }}"><input type="hidden"
                                name="source" value="{{ $book['source'] }}">
                            <x-tick name="sure" value="1" label="yes, withdraw all of it" />
                            <x-button small kind="danger">Withdraw the book</x-button></x-form></x-more>
                @endforeach
            </div></aside>
        </div>
    @endif
</x-layout>
