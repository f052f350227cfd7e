@use('App\View\Say')
@use('Luftig\Core\Priority\Part')
@use('Luftig\Core\Priority\Choice')
@php
    $people = collect([...array_values($group->parts), $group->others])->flatten(1);
    $names = $people->mapWithKeys(fn ($row) => [$row->contact->id => $row->contact->name()]);
    $empty = ['signs_off' => 'nobody who signs off', 'shapes' => 'nobody who shapes', 'champion' => 'nobody who would champion us', 'user' => 'no user known', 'next_door' => 'nobody next door', 'blocker' => 'no blocker'];
@endphp
<section id="group" class="group-of-account" data-url="{{ url('/accounts/'.$account->id.'/group') }}" aria-label="Buying group">
    <div class="choice">
        <h2>Whom to contact now</h2>
        @if ($group->pressure)<p class="warned small" role="note" style="margin: 8px 0 0">{{ $group->pressure }}</p>@endif
        @forelse ($group->chosen as $row)
            <div class="chosen" data-chosen="{{ $row->contact->id }}">
                <span class="small strong pine">{{ $row->part()?->label() ?? 'reached best' }}</span>
                <span><a href="{{ route('contacts.show', $row->contact) }}"><strong>{{ $row->contact->name() }}</strong></a>@if ($row->contact->title), {{ $row->contact->title }}@endif</span>
                <span class="figure" title="Priority of this person">{{ $row->ranked ? round($row->ranked->priority) : '' }}</span>
                <span class="buttons"><span class="muted small" style="flex: 1">{{ $row->reach->label() }}</span>
                    @if ($row->reservation)<form method="post" action="{{ route('reservations.destroy', $row->contact) }}">@csrf @method('DELETE')<button class="button small">Yours; let go</button></form>
                    @else<form method="post" action="{{ route('reservations.store', $row->contact) }}">@csrf<button class="button small" aria-label="Take {{ $row->contact->name() }}">Take</button></form>@endif
                    <a class="button small" href="{{ route('reasons.create', [$account, 'contact' => $row->contact->id]) }}" aria-label="A reason for {{ $row->contact->name() }}">Reason</a>
                </span>
            </div>
        @empty
            <p class="soft around">{{ $people->isEmpty() ? 'Nobody is known here yet.' : 'Nobody just now; why not stands beside each below.' }}</p>
        @endforelse
        @php $left = $people->filter(fn ($row) => $row->skip !== null && $row->skip !== \Luftig\Core\Priority\Skip::NotEligible && $row->part() !== null)->countBy(fn ($row) => $row->skip->label()); @endphp
        <p class="muted small above">At most {{ Choice::most($account->headcount) }} of its people within 14 days.@if ($left->isNotEmpty()) Left out: {{ $left->map(fn ($n, $why) => "$n $why")->implode('; ') }}.@endif</p>
    </div>
    <div class="line" style="justify-content: space-between; margin-top: 18px"><h2 class="head">Buying group</h2><span class="muted small">drag a person, or <kbd>Shift</kbd> <kbd>↑</kbd> <kbd>↓</kbd></span></div>
    @foreach ($group->gaps as $gap)<p class="small rowan" data-gap>{{ $gap }}</p>@endforeach
    @foreach (Part::cases() as $part)
        <div class="part-row">
            <h3 class="small pine">{{ $part->label() }}</h3>
            <div class="part-people" data-part="{{ $part->value }}">
                @forelse ($group->parts[$part->value] as $i => $row)
                    @if ($part === Part::NextDoor && $i === 3)<details class="more"><summary class="pine small">{{ count($group->parts[$part->value]) - 3 }} more</summary>@endif
                    @include('accounts.group-person', ['row' => $row, 'names' => $names, 'focused' => isset($moved) && $moved->is($row->contact)])
                    @if ($part === Part::NextDoor && $i >= 3 && $loop->last)</details>@endif
                @empty
                    <p class="muted small around">{{ $empty[$part->value] }}</p>
                @endforelse
            </div>
        </div>
    @endforeach
    @if ($group->others !== [])
        <details class="part-row-out"><summary class="pine small">{{ Say::count(count($group->others), 'person') === '1 person' ? '1 person takes' : count($group->others).' people take' }} no part</summary>
            <div class="part-people" data-part="out">@foreach ($group->others as $row)@include('accounts.group-person', ['row' => $row, 'names' => $names, 'focused' => isset($moved) && $moved->is($row->contact)])@endforeach</div></details>
    @endif
    <p class="above"><button class="button" type="button" data-open="new-person">Add a person</button></p>
</section>
