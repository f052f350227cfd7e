@php $contact = $record instanceof App\Models\Contact; $account = $contact ? $record->account : $record; @endphp
<div class="card stack above">
    <h2><a href="{{ $contact ? route('contacts.show', $record) : route('accounts.show', $record) }}">{{ $contact ? $record->name() : $record->name }}</a></h2>
    <p class="soft">{{ collect([$contact ? $record->title : null, $contact ? $account->name : null, $account->industries->first()?->code ? lcfirst(\Luftig\Core\Firm\Industries::name($account->industries->first()->code)) : 'industry unknown', $account->headquarters()?->city, $account->headcount ? number_format($account->headcount).' heads' : 'heads unknown'])->filter()->implode(' · ') }}</p>
    @if ($account->description)<p>{{ $account->description }}</p>@endif
    @php $priority = $rows->priority($record); $kinds = collect($rows->standing($record)?->lines)->pluck(1)->unique()->map(fn (string $kind): string => \Luftig\Core\Signal\Kind::from($kind)->label()); @endphp
    <p class="small muted">{{ $priority === null ? 'no priority' : 'priority '.round($priority) }}{{ $kinds->isEmpty() ? ' · no live signal' : ' · live: '.$kinds->implode(', ') }}</p>
    <form method="post" action="{{ $action }}" class="buttons">@csrf<input type="hidden" name="record" value="{{ $record->id }}">
        <button class="button primary" name="{{ $field }}" value="1" data-keep>{{ $yes }} <kbd>P</kbd></button><button class="button" name="{{ $field }}" value="0" data-drop>{{ $no }} <kbd>D</kbd></button></form>
</div>
