@props(['row', 'active'])
<div @class(['list-group-item', 'active' => $active]) data-row data-account="{{ $row->standing->account_id }}"
    data-url="{{ route('accounts.show', $row->standing->account_id) }}">
    <div class="row gx-3 gy-1 align-items-center">
        <div class="col-12 col-md-8 min-w-0">
            <a class="d-block fs-5 fw-semibold text-body text-truncate"
                href="{{ route('accounts.show', $row->standing->account_id) }}"
                hx-get="{{ $row->address() }}" hx-target="#focus" hx-replace-url="true"
                    hx-sync="#focus:replace">{{ $row->headline() }}</a>
            <p class="text-truncate">
                @if ($row->contact)<strong>{{ $row->contact->name() }}</strong>@if ($row->contact->title),
                    {{ $row->contact->title }}@endif · @endif
                <span class="text-primary" data-name>{{ $row->standing->account->name }}</span></p>
            <div class="hstack gap-3 overflow-hidden">
                @foreach ($row->barbs() as $line)<x-barb :$line />@endforeach
                @if ($row->reason)<span class="badge border border-primary text-primary">reason ready</span>@endif
                @if ($row->more() > 0)<span class="small text-body-secondary text-nowrap">and {{ $row->more() }}
                    more</span>@endif
            </div>
        </div>
        <div class="col-9 col-md-3"><x-fuse :act-by="$row->actBy" :way="$row->way()" /></div>
        <div class="col-3 col-md-1 text-end font-figure fs-3 fw-semibold">
            <span class="visually-hidden">Priority </span>{{ $row->priority() }}</div>
    </div>
    <button hidden type="button" aria-keyshortcuts="r" @click="record">Record the reason</button>
    <a hidden aria-keyshortcuts="e" href="{{ $row->records() }}">Change the reason first</a>
</div>
