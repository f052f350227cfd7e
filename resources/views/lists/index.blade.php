@use('App\View\Say')
@use('Luftig\Core\Finder\SpotCheck')
<x-layout title="Lists" at="lists">
    <h1>Lists</h1>
    @if ($watches->isNotEmpty())
        <h2 class="group">Watches</h2>
        @foreach ($watches as $watch)
            <div class="row" style="grid-template-columns: minmax(0, 1fr) 300px" data-row data-url="{{ route('watches.show', $watch) }}">
                <div><a class="what" href="{{ route('watches.show', $watch) }}">{{ $watch->name }}@if ($watch->unread > 0) <span class="by-hand small">{{ $watch->unread }} unread</span>@endif</a><p class="soft">{{ $watch->found > 0 ? Say::count((int) $watch->found, 'newcomer') : 'nobody new yet' }}</p></div>
                <div class="small muted number">{{ $watch->user->name }}, {{ $watch->rhythm->value }}<br>next {{ $watch->next_at->setTimezone($watch->time_zone)->isoFormat('ddd D MMM, HH:mm') }}</div>
            </div>
        @endforeach
        <h2 class="group">Lists</h2>
    @endif
    @if ($lists->count() > 1)
        <x-wrong :for="['name', 'how', 'first', 'second']" />
        <details class="combine" @if ($errors->any()) open @endif><summary class="pine">Combine two lists</summary>
            <form method="post" action="{{ route('lists.combine') }}" class="buttons list-form">@csrf
                <label class="field"><span>First list</span><select name="first">@foreach ($lists as $one)<option value="{{ $one->id }}" @selected((int) old('first') === $one->id)>{{ $one->name }}</option>@endforeach</select></label>
                <label class="field"><span>How</span><select name="how">@foreach (['union' => 'all of both', 'overlap' => 'only who is on both', 'difference' => 'the first without the second'] as $how => $label)<option value="{{ $how }}" @selected(old('how') === $how)>{{ $label }}</option>@endforeach</select></label>
                <label class="field"><span>Second list</span><select name="second">@foreach ($lists as $one)<option value="{{ $one->id }}" @selected((int) old('second', $lists[1]->id) === $one->id)>{{ $one->name }}</option>@endforeach</select></label>
                <label class="field"><span>Name of the new list</span><input name="name" required maxlength="100" value="{{ old('name') }}"></label><button class="button">Combine</button></form></details>
    @endif
    @forelse ($lists as $list)
        @php $size = $sizes[$list->id] ?? null; $n = (int) ($size->size ?? 0); $judged = (int) ($size->judged ?? 0); $check = $judged > 0 ? SpotCheck::of((int) $size->fits, $judged, $n) : null; @endphp
        <div class="row" style="grid-template-columns: minmax(0, 1fr) 260px" data-row data-url="{{ route('lists.show', $list) }}">
            <div><a class="what" href="{{ route('lists.show', $list) }}">{{ $list->name }}</a><p class="soft">{{ Say::count($n, rtrim($list->subject, 's')) }}{{ $list->held_for ? ', held for its trial' : '' }}</p></div>
            <div class="small muted number">{{ $list->user->name ?? 'somebody' }}, <x-ago :time="$list->created_at" /><br>@if ($check)<strong>{{ Say::percent($check->low) }} to {{ Say::percent($check->high) }} good</strong>, {{ $judged }} judged @else not checked yet @endif</div>
        </div>
    @empty
        <p class="empty">No list yet. In the <a href="/finder">Finder</a>, narrow until it fits a week's work, and keep what remains as a list.</p>
    @endforelse
</x-layout>
