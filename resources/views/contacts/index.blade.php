@use('App\View\Say')
@use('App\View\Reach')
@use('Luftig\Core\Priority\Part')
<x-layout title="Contacts" at="contacts">
    <div class="spread">
        <div class="line"><h1>Contacts</h1><span class="muted">who takes part in buying, {{ $offer->name }}</span></div>
        <form method="get" action="{{ route('contacts.index') }}" class="buttons" role="search">
            @if ($list->part)<input type="hidden" name="part" value="{{ $list->part->value }}">@endif
            <label class="visually-hidden" for="q">Name or title</label><input id="q" type="search" name="q" value="{{ $list->search }}" placeholder="Name or title"><button class="button">Search</button>
            @if ($counts[$list->part->value ?? ''] > 0)
                <a class="button" href="{{ route('contacts.export', ['csv'] + $list->parameters()) }}" aria-label="Take them out as CSV">CSV</a>
                <a class="button" href="{{ route('contacts.export', ['vcf'] + $list->parameters()) }}" aria-label="Take them out as vCards">vCards</a>
            @endif
        </form>
    </div>
    <nav class="tabs gap" aria-label="Parts">
        @foreach ($counts as $part => $count)
            <a href="{{ route('contacts.index', array_filter(['part' => $part, 'q' => $list->search])) }}" @if ($part === ($list->part->value ?? '')) aria-current="page" @endif>{{ $part === '' ? 'All' : ucfirst(Part::from($part)->label()) }} <span class="n">{{ number_format($count) }}</span></a>
        @endforeach
    </nav>
    @if ($pages->isEmpty())
        <p class="empty">@if ($list->search !== '') Nobody here has “{{ $list->search }}” in the name or title.
            @elseif (($offer->rules->buyer_roles ?? []) === []) This offer has no buyer roles yet, so nobody is known to take part. @can('create', App\Models\RuleSet::class)<a href="/rules">Say under Rules</a> who takes part in buying.@else A lead says under Rules who takes part in buying. @endcan
            @else Nobody known takes this part. <a href="/intake">Bring contacts</a> with their titles, and they stand here. @endif</p>
    @else
        <div class="scroll">
        <table>
            <thead><tr><th scope="col" class="number">Priority</th><th scope="col">Contact</th><th scope="col">Part</th><th scope="col">Account</th><th scope="col">Why now</th><th scope="col">In post</th><th scope="col">In the company</th><th scope="col">Channel</th></tr></thead>
            <tbody>
            @foreach ($pages as [$id, $priority, $part, $accountId])
                @php
                    $contact = $contacts[$id] ?? null;
                    $standing = $standings[$accountId];
                    if (! $contact) continue;
                    $times = App\View\Contacts\Tenure::of($contact);
                    $own = collect($lines[$accountId])->sortByDesc(fn ($line) => [$line->signal->contact_id === $id, $line->push])->first();
                @endphp
                <tr data-row data-url="{{ route('contacts.show', $contact) }}" data-reason="{{ route('reasons.create', [$accountId, 'contact' => $id]) }}">
                    <td class="number"><span class="figure large">{{ round($priority) }}</span></td>
                    <td><a class="strong" href="{{ route('contacts.show', $contact) }}">{{ $contact->name() }}</a><br><span class="muted small">{{ $contact->title ?? 'title unknown' }}</span></td>
                    <td class="small">{{ Part::from($part)->label() }}</td>
                    <td><a href="{{ route('accounts.show', $accountId) }}">{{ $standing->account->name }}</a><br><span class="muted small">{{ collect([$standing->account->headquarters()?->city, $standing->priority !== null ? 'priority '.round($standing->priority) : 'waiting'])->filter()->implode(' · ') }}</span></td>
                    <td style="max-width: 250px">@if ($own)<x-barb :line="$own" />@else<span class="muted small">no live signal</span>@endif</td>
                    <td class="small nowrap">{{ $times->inPost() ?? 'unknown' }}@if ($times->arrival)<br><span class="pine">{{ $times->arrival }}</span>@endif</td>
                    <td class="small nowrap">{{ $times->inCompany() ?? 'unknown' }}</td>
                    <td class="small">@if ($barred->contact($id))<span class="plum">kept out</span>@else{{ Reach::of($contact, $barred)->label() }}@endif</td>
                </tr>
            @endforeach
            </tbody>
        </table>
        </div>
        <x-pager :pages="$pages" />
    @endif
</x-layout>
