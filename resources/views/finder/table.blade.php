@use('App\View\Say')
@use('App\View\Reach')
@use('App\View\Contacts\Tenure')
@use('Luftig\Core\Finder\Subject')
@use('Luftig\Core\Firm\Industries')
@php $contacts = $rows->records !== [] && $rows->records[0] instanceof App\Models\Contact; @endphp
<table>
    <thead><tr>@if ($choose)<th scope="col"><span class="visually-hidden">Choose</span></th>@endif<th scope="col">{{ $contacts ? 'Contact' : 'Account' }}</th>@if ($contacts)<th scope="col">Account</th><th scope="col">In post</th><th scope="col">Channel</th>@else<th scope="col">Industry</th><th scope="col">Place</th><th scope="col" class="number">Heads</th><th scope="col" class="number">Contacts</th>@endif @if ($choose)<th scope="col">Work</th>@endif<th scope="col" class="number">Priority</th></tr></thead>
    @foreach ($rows->records as $record)
        @php $url = $contacts ? route('contacts.show', $record) : route('accounts.show', $record); $priority = $rows->priority($record); @endphp
        <tr data-row data-url="{{ $url }}" data-reason="{{ $contacts ? route('reasons.create', [$record->account_id, 'contact' => $record->id]) : route('reasons.create', $record) }}">
            @if ($choose)<td><input type="checkbox" form="keep-form" name="only[]" value="{{ $record->id }}" aria-label="Choose {{ $contacts ? $record->name() : $record->name }}"></td>@endif
            @if ($contacts)
                <td><a class="strong" href="{{ $url }}">{{ $record->name() }}</a><br><span class="muted small">{{ $record->title ?? 'title unknown' }}</span></td>
                <td><a href="{{ route('accounts.show', $record->account_id) }}">{{ $record->account->name }}</a><br><span class="muted small">{{ collect([$record->account->headquarters()?->city, $record->account->headcount ? number_format($record->account->headcount).' heads' : null])->filter()->implode(' · ') }}</span></td>
                <td class="small nowrap">{{ Tenure::of($record)->inPost() ?? 'unknown' }}</td><td class="small">{{ $barred->contact($record->id) ? 'kept out' : Reach::of($record, $barred)->label() }}</td>
            @else
                <td><a class="strong" href="{{ $url }}">{{ $record->name }}</a><br><span class="muted small">{{ $record->domain }}</span></td>
                <td class="small">{{ $record->industries->first()?->code ? lcfirst(Industries::name($record->industries->first()->code)) : 'unknown' }}</td><td class="small">{{ $record->headquarters()?->city ?? 'unknown' }}</td><td class="number small">{{ $record->headcount === null ? '?' : number_format($record->headcount) }}</td><td class="number small">{{ $record->contacts_count }}</td>
            @endif
            @if ($choose)<td class="small">{{ str_replace('_', ' ', $search->workOf($record->id)) }}</td>@endif
            <td class="number"><span class="figure large">{{ $priority === null ? '–' : round($priority) }}</span></td>
        </tr>
    @endforeach
</table>
