@use('App\View\Say')
@php
    $standing = $row->standing;
    $account = $standing->account;
@endphp
<div @class(['row', 'focus' => $focused]) data-row data-account="{{ $account->id }}" data-url="{{ route('accounts.show', $account) }}" data-reason="{{ route('reasons.create', [$account, 'contact' => $row->contact?->id]) }}">
    <div>
        <a class="what" href="{{ url('/?focus='.$account->id) }}" hx-get="{{ url('/?focus='.$account->id) }}" hx-target="#focus" hx-swap="innerHTML" hx-sync="#focus:replace">{{ $row->draft->headline() }}</a>
        <p>@if ($row->contact)<strong>{{ $row->contact->name() }}</strong>@if ($row->contact->title), {{ $row->contact->title }}@endif · @endif<span class="pine">{{ $account->name }}</span></p>
        <div class="barbs">@foreach (array_slice($row->lines, 0, 2) as $line)<x-barb :line="$line" />@endforeach @if (count($row->lines) > 2)<span class="muted small nowrap">and {{ count($row->lines) - 2 }} more</span>@endif</div>
    </div>
    <x-fuse :act-by="$standing->act_by" :way="$row->reach?->label() ?? 'no contact known'" />
    <div class="score">@if ($standing->priority !== null)<span class="visually-hidden">Priority </span>{{ round($standing->priority) }}@else<span class="muted" title="No live signal, so no priority">–</span>@endif</div>
</div>
