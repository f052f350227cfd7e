@use('App\View\Say')
<x-layout title="Keep-out" at="">
    <h1>Keep-out</h1>
    <p class="soft above">Who must not be approached, by anyone on the team. Besides the entries here, {{ Say::count($customers, 'customer') }}, {{ Say::count($competitors, 'competitor') }} and {{ number_format($agencies) }} {{ $agencies === 1 ? 'agency' : 'agencies' }} are kept out by what they are; <a href="{{ route('accounts.index', ['tab' => 'kept_out']) }}">see the accounts</a>.</p>
    <div class="two gap">
        <div>
            @if ($entries->isEmpty())<p class="empty">No entry yet.</p>
            @else
                <div class="scroll"><table><thead><tr><th>Who</th><th>Why</th><th>Until</th><th>Entered</th><th><span class="visually-hidden">Take away</span></th></tr></thead>
                    @foreach ($entries as $entry)
                        <tr><td><span class="muted small">{{ $entry->type->value }}</span><br>@if ($entry->account_id)<a href="{{ route('accounts.show', $entry->account_id) }}">{{ $entry->value }}</a>@else<strong>{{ $entry->value }}</strong>@endif</td><td>{{ $entry->reason }}</td><td>{{ $entry->until?->isoFormat('D MMM YYYY') ?? 'for good' }}</td><td class="small">{{ $entry->user?->name }}<br><span class="muted"><x-ago :time="$entry->created_at" /></span></td>
                            <td class="number">@can('delete', $entry)<form method="post" action="{{ route('keep-out.destroy', $entry) }}">@csrf @method('DELETE')<button class="button slight" aria-label="Take away {{ $entry->value }}">Take away</button></form>@endcan</td></tr>
                    @endforeach</table></div>
                <x-pager :pages="$entries" />
            @endif
            @if ($ended > 0)<p class="muted small above">{{ Say::count($ended, 'entry') === '1 entry' ? '1 entry has' : number_format($ended).' entries have' }} ended.</p>@endif
        </div>
        <form method="post" action="{{ route('keep-out.store') }}" class="card stack aside">@csrf
            <h2>Keep somebody out</h2>
            <label class="field"><span>Domain or e-mail address</span><input name="value" maxlength="190" value="{{ old('value') }}" placeholder="tunhede.example"></label>
            <x-wrong for="value" />
            <x-query name="query" label="Or every account whose name, keywords or description a query finds" :value="old('query', '')" :most="190" placeholder='"trading house" OR wholesale' />
            <x-wrong for="query" />
            <label class="field"><span>Why</span><input name="reason" required maxlength="190" value="{{ old('reason') }}" placeholder="asked not to be contacted"></label>
            <x-wrong for="reason" />
            <label class="field"><span>Until, if it ends</span><input type="date" name="until" value="{{ old('until') }}" min="{{ today()->addDay()->toDateString() }}"></label>
            <x-wrong for="until" />
            <p class="muted small">An account, or a person in it, is kept out from the account’s page.</p>
            <button class="button primary">Keep out</button>
        </form>
    </div>
</x-layout>
