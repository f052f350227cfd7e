@use('App\View\Intake\DoubtfulPair')
@php $name = fn ($record) => $record instanceof App\Models\Account ? $record->name : $record->name(); $url = fn ($record) => $record instanceof App\Models\Account ? route('accounts.show', $record) : route('contacts.show', $record); @endphp
<form class="ruled" method="post" action="{{ route('doubles.update', $pair->double) }}" data-pair="{{ $pair->double->id }}">@csrf @method('PATCH')
    @foreach ([$pair->first, $pair->second] as $record)<p><a href="{{ $url($record) }}"><strong>{{ $name($record) }}</strong></a><br><span class="small muted breaks">{{ DoubtfulPair::line($record) }}</span></p>@endforeach
    <p class="small soft around">{{ implode(' ', $pair->double->because) }}</p>
    <div class="buttons"><button class="button small" name="decision" value="same" aria-label="{{ $name($pair->first) }}: the same">The same</button><button class="button small" name="decision" value="separate" aria-label="{{ $name($pair->first) }}: two">Two</button></div>
</form>
