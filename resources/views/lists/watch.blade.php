@use('App\View\Say')
@use('App\View\Reach')
<x-layout :title="$watch->name" at="lists">
    <p class="back"><a href="{{ route('lists.index') }}" data-back>← Lists</a></p>
    <div class="spread"><div class="line"><h1>{{ $watch->name }}</h1><span class="muted">{{ $watch->rhythm->value }}, ran <x-ago :time="$watch->ran_at" />, next {{ $watch->next_at->setTimezone($watch->time_zone)->isoFormat('dddd D MMMM, HH:mm') }} {{ $watch->time_zone }}</span></div>
        <div class="buttons"><a class="button primary" href="{{ route('finder', $search->parameters()) }}">The search today</a>
            @if ($unread > 0)<form method="post" action="{{ route('watches.read', $watch) }}">@csrf<button class="button">All read</button></form>@endif
            <form method="post" action="{{ route('watches.destroy', $watch) }}">@csrf @method('DELETE')<button class="button">Watch no longer</button></form></div></div>
    <p class="soft gap">@foreach ($search->steps as $step)<strong>{{ $step->excludes() ? 'not ' : '' }}{{ $step->field->label() }}</strong> {{ $step->says() }}{{ $loop->last ? '' : ' · ' }}@endforeach</p>
    @if ($found->isEmpty())<p class="empty">Nobody new since it began. Those who were there then are not shown here.</p>
    @else
        <div class="scroll gap"><table>
            <thead><tr><th scope="col">Newcomer</th><th scope="col">What made it new</th><th scope="col">Found</th><th scope="col" class="number">Priority</th></tr></thead>
            @foreach ($rows->records as $record)
                @php $contact = $record instanceof App\Models\Contact; $find = $found[$record->id]; $priority = $rows->priority($record); $url = $contact ? route('contacts.show', $record) : route('accounts.show', $record); @endphp
                <tr data-row data-url="{{ $url }}"><td><a href="{{ $url }}" @class(['strong' => $find->unread])>{{ $contact ? $record->name() : $record->name }}</a>@if ($find->unread) <span class="by-hand small">unread</span>@endif<br><span class="muted small">{{ $contact ? collect([$record->title, $record->account->name])->filter()->implode(' · ') : $record->domain }}</span></td>
                    <td>{{ $find->why }}</td><td class="small"><x-ago :time="\Carbon\CarbonImmutable::parse($find->found_at, 'UTC')" /></td><td class="number"><span class="figure large">{{ $priority === null ? '–' : round($priority) }}</span></td></tr>
            @endforeach
        </table></div>
    @endif
</x-layout>
