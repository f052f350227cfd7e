@use('App\View\Say')
<x-layout title="Relations" at="network">
    <p class="back"><a href="{{ route('network') }}" data-back>← Network</a></p>
    <h1>Relations that I brought, or that are mine</h1>
    <x-wrong :for="['sure', 'user', 'source']" />
    @if ($books->isEmpty())<p class="empty">None yet. <a href="/intake">Bring an address book</a>, as a table or as vCards, and say that its rows are people whom one of us knows.</p>
    @else
        <div class="two gap">
            <section>
                <form method="get" class="buttons"><label class="visually-hidden" for="find">Find</label><input id="find" type="search" name="find" value="{{ $find }}" placeholder="A person or domain"><button class="button">Find</button></form>
                <div class="scroll gap"><table>
                    <thead><tr><th scope="col">Person</th><th scope="col">Known to</th><th scope="col" class="number">Strength</th><th scope="col">Here as</th><th scope="col"><span class="visually-hidden">Withdraw</span></th></tr></thead>
                    @foreach ($relations as $relation)
                        <tr><td><strong>{{ $relation->person }}</strong><br><span class="muted small">{{ $relation->email ?? $relation->profile ?? $relation->domain }}</span></td><td class="small">{{ $relation->user->name }}<br><span class="muted">{{ collect([$relation->since ? 'since '.$relation->since->isoFormat('MMM YYYY') : null, $relation->exchanges === null ? null : Say::count($relation->exchanges, 'exchange')])->filter()->implode(', ') }}</span></td><td class="number">{{ Say::percent($relation->strength()) }}</td>
                            <td class="small">@if ($relation->contact)<a href="{{ route('contacts.show', $relation->contact) }}">{{ $relation->contact->account->name }}</a>@else<span class="muted">no contact yet</span>@endif</td>
                            <td class="number"><form method="post" action="{{ route('network.withdraw', $relation) }}">@csrf @method('DELETE')<button class="button slight" aria-label="Withdraw {{ $relation->person }}">Withdraw</button></form></td></tr>
                    @endforeach
                </table></div>
                <x-pager :pages="$relations" />
            </section>
            <aside class="aside card stack"><h2>Books</h2>
                @foreach ($books as $book)
                    <details><summary>{{ $book->user->name }}{{ $book->source ? ', '.$book->source : '' }}: {{ number_format($book->getAttribute('size')) }}, {{ number_format($book->getAttribute('known')) }} of them contacts here</summary>
                        <form method="post" action="{{ route('network.withdraw-all') }}" class="stack gap">@csrf @method('DELETE')<input type="hidden" name="user" value="{{ $book->user_id }}"><input type="hidden" name="source" value="{{ $book->source }}"><label><input type="checkbox" name="sure" value="1"> yes, withdraw all of it</label><button class="button danger small">Withdraw the book</button></form></details>
                @endforeach
            </aside>
        </div>
    @endif
</x-layout>
