@use('App\View\Say')
<x-layout title="Network" at="network">
    <div class="spread"><div class="line"><h1>Network</h1><span class="muted">{{ Say::count($total, 'contact') }} in {{ Say::count($accounts, 'account') }} known to one of us</span></div>
        <div class="buttons"><a class="button" href="{{ route('finder', $search->parameters()) }}">Narrow them in the Finder</a><a class="button" href="{{ route('network.relations') }}">What I brought</a><a class="button primary" href="/intake">Bring an address book</a></div></div>
    <x-wrong :for="['user', 'kind', 'name', 'title', 'since', 'until']" />
    <div class="two gap">
        <section>
            <h2 class="head">Whom we know, the best first</h2>
            @if ($total === 0)<p class="empty">Nobody yet. Bring an address book, as a table or as vCards, or say where you worked and studied: whoever was there at that time is known.</p>
            @else
                <div class="scroll"><table>
                    <thead><tr><th scope="col">Contact</th><th scope="col">Account</th><th scope="col">Known to</th><th scope="col" class="number">Priority</th></tr></thead>
                    @foreach ($rows->records as $contact)
                        @php $priority = $rows->priority($contact); @endphp
                        <tr data-row data-url="{{ route('contacts.show', $contact) }}"><td><a class="strong" href="{{ route('contacts.show', $contact) }}">{{ $contact->name() }}</a><br><span class="muted small">{{ $contact->title ?? 'title unknown' }}</span></td>
                            <td><a href="{{ route('accounts.show', $contact->account_id) }}">{{ $contact->account->name }}</a></td>
                            <td class="small">@foreach (array_slice($ties->of($contact), 0, 3) as $tie)<x-network.tie :tie="$tie" />@endforeach</td>
                            <td class="number"><span class="figure priority">{{ $priority === null ? '–' : round($priority) }}</span></td></tr>
                    @endforeach
                </table></div>
                <x-pager :pages="$pages" />
            @endif
        </section>
        <aside class="aside stack">
            <div class="card"><h2>Through whom</h2>
                <table><thead><tr><th scope="col">Of us</th><th scope="col" class="number">Book</th><th scope="col" class="number">Known</th></tr></thead>
                    @foreach ($people as $one)<tr><td>{{ $one['user']->name }}@unless ($one['user']->signs_in) <span class="muted small">leader</span>@endunless</td><td class="number">{{ number_format($one['book']) }}</td><td class="number">@if ($one['within'] > 0)<a href="{{ route('finder', ['on' => 'contacts', 'c' => [['f' => 'reach', 'w' => $one['user']->id, 'n' => '1'], ['f' => 'kept_out', 'x' => '1']]]) }}">{{ number_format($one['within']) }}</a>@else 0 @endif</td></tr>@endforeach</table>
                <p class="small muted gap">Book: people in the address book. Known: contacts here whom they know from it, from work, a school or an association, without those kept out.</p></div>
            <div class="card"><h2>Where we were</h2>
                @forelse ($stations as $station)
                    <div class="person"><div>{{ $station->name }}<br><span class="small muted">{{ $station->user->name }}{{ $station->title ? ', '.$station->title : '' }}{{ $station->kind === 'post' ? ', '.($station->since?->isoFormat('MMM YYYY') ?? '?').' – '.($station->until?->isoFormat('MMM YYYY') ?? 'now') : ', '.$station->kind }}</span></div>
                        @can('delete', $station)<form method="post" action="{{ route('stations.destroy', $station) }}">@csrf @method('DELETE')<button class="button slight small" aria-label="Take away {{ $station->name }}">Take away</button></form>@endcan</div>
                @empty<p class="small soft">Nothing yet.</p>@endforelse
                <details @if ($errors->any()) open @endif class="gap"><summary class="pine">Add where one of us worked or studied</summary>
                    <form method="post" action="{{ route('stations.store') }}" class="stack gap">@csrf
                        <label class="field"><span>Who</span><select name="user"><option value="{{ auth()->id() }}">I</option>@foreach ($people as $one)@unless ($one['user']->signs_in)<option value="{{ $one['user']->id }}" @selected((int) old('user') === $one['user']->id)>{{ $one['user']->name }}</option>@endunless @endforeach</select></label>
                        <label class="field"><span>What</span><select name="kind"><option value="post">a company</option><option value="school" @selected(old('kind') === 'school')>a school</option><option value="association" @selected(old('kind') === 'association')>an association</option></select></label>
                        <label class="field"><span>Domain of the company, or the name</span><input name="name" required maxlength="190" value="{{ old('name') }}" placeholder="tunhede.example"></label>
                        <label class="field"><span>Title there</span><input name="title" maxlength="190" value="{{ old('title') }}"></label>
                        <div class="pair"><label class="field"><span>Since</span><input type="date" name="since" value="{{ old('since') }}"></label><label class="field"><span>Until</span><input type="date" name="until" value="{{ old('until') }}"></label></div>
                        <button class="button">Keep</button></form></details></div>
        </aside>
    </div>
</x-layout>
