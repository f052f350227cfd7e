<x-layout title="Keep-out" at="keep-out">
    <h1>Keep-out</h1>
    <p class="text-body-tertiary mt-2">{{ $page->about() }} <a href="{{ route('accounts.index', ['tab' => 'kept_out'])
        }}">See the accounts</a>.</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-8">
            @if ($page->entries->isEmpty())<x-empty>No entry yet.</x-empty>
            @else
                <x-table :heads="['Who', 'Why', 'Until', 'Entered', '-Remove']" :moves="false">
                    @foreach ($page->entries as $entry)
                        <tr><td><span class="small text-body-secondary">{{ $entry->type->value }}</span><br>
                                @if ($entry->account_id)<a class="breaks"
                                    href="{{ route('accounts.show', $entry->account_id) }}">{{ $entry->value }}</a>
                                @else<strong class="breaks">{{ $entry->value }}</strong>@endif</td>
                            <td>{{ $entry->reason }}</td><td>{{ $page->until($entry) }}</td>
                            <td class="small">{{ $entry->user?->name }}<br><span class="text-body-secondary"><x-ago
                                :time="$entry->created_at" /></span></td>
                            <td class="text-end">@can('delete', $entry)<x-form :to="route('keep-out.destroy', $entry)"
                                method="delete">
                                <x-button small kind="link"
                                    aria-label="Remove {{ $entry->value }}">Remove</x-button></x-form>@endcan</td></tr>
                    @endforeach
                </x-table>
                <x-pager :pages="$page->entries" />
            @endif
            @if ($page->ended())<p class="small text-body-secondary mt-2">{{ $page->ended() }}</p>@endif
        </div>
        <div class="col-lg-4">
            <x-form :to="route('keep-out.store')" class="card card-body vstack gap-3">
                <h2>Keep somebody out</h2>
                <x-field label="Domain or e-mail address" name="value" maxlength="190" :value="old('value')"
                    placeholder="tunhede.example" />
                <div><x-query name="query" label="Or every account whose name, keywords or description a query finds"
                    :value="old('query', '')" :most="190"
                    placeholder='"trading house" OR wholesale' /><x-wrong for="query" /></div>
                <x-field label="Why" name="reason" required maxlength="190" :value="old('reason')"
                    placeholder="asked not to be contacted" />
                <x-field label="Until, if it ends" name="until" type="date" :value="old('until')"
                    :min="today()->addDay()->toDateString()" />
                <p class="small text-body-secondary">An account, or a person in it, is kept out from the account’s
                    page.</p>
                <x-button kind="primary" class="align-self-start">Keep out</x-button>
            </x-form>
        </div>
    </div>
</x-layout>
