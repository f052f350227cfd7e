@use('App\Screens\DoubtfulPair')
@php $name = fn ($record) => $record instanceof App\Models\Account ? $record->name : $record->name(); $url = fn ($record) => $record instanceof App\Models\Account ? route('accounts.show', $record) : route('contacts.show', $record); @endphp
<form method="post" action="{{ route('doubles.update', $pair->double) }}" style="padding: 8px 0; border-top: 1px solid var(--hairline)" data-pair="{{ $pair->double->id }}">@csrf @method('PATCH')
    @foreach ([$pair->first, $pair->second] as $record)<p><a href="{{ $url($record) }}"><strong>{{ $name($record) }}</strong></a><br><span class="small muted" style="overflow-wrap: anywhere">{{ DoubtfulPair::line($record) }}</span></p>@endforeach
    <p class="small soft" style="padding: 4px 0">{{ implode(' ', $pair->double->because) }}</p>
    <div class="buttons"><button class="button small" name="decision" value="same" aria-label="{{ $name($pair->first) }}: the same">The same</button><button class="button small" name="decision" value="separate" aria-label="{{ $name($pair->first) }}: two">Two</button></div>
</form>
