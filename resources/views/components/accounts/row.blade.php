@props(['row', 'ranked'])
<tr data-row data-url="{{ $row->url }}" data-account="{{ $row->standing->account_id }}">
    <td class="text-end font-figure fs-4 fw-semibold">{{ $row->score() }}</td>
    <td><a class="fw-semibold text-body" href="{{ $row->url }}">{{ $row->standing->account->name }}</a><br>
        <span class="small text-body-secondary">{{ $row->about() }}</span>
        <a hidden aria-keyshortcuts="r" href="{{ route('reasons.create', $row->standing->account_id) }}">Record the
            reason</a></td>
    <td class="col-4 mw-0">
        @if ($row->standing->cause)<span class="text-body-tertiary">{{ ucfirst($row->standing->cause) }}</span>@endif
        @if ($row->barbs() !== [])
            <div class="d-flex flex-wrap column-gap-3">
                @foreach ($row->barbs() as $line)<x-barb :$line />@endforeach
                @if ($row->more() > 0)<span class="small text-body-secondary">and {{ $row->more() }} more</span>@endif
            </div>
        @elseif (! $row->standing->cause)
            <span class="text-body-secondary">no live signal</span>
            <a class="small" href="{{ route('reasons.create', $row->standing->account_id) }}">start from facts</a>
        @endif
    </td>
    <td class="text-end text-nowrap" title="{{ $row->bounds() }}">{{ $row->fit() }}</td>
    <td class="text-end">{{ App\Support\Format::part($row->standing->timing()) }}</td>
    <td class="text-end">{{ App\Support\Format::part($row->standing->access) }}</td>
    @if ($ranked)<td class="small text-nowrap">{{ App\Support\Format::hurry($row->standing->act_by) }}</td>@endif
    <td class="small">{{ $row->owner() }}</td>
    <td class="small">@if ($row->approached())<x-ago :time="$row->approached()" />@endif</td>
    @if ($ranked)<td class="small text-end text-nowrap">{{ $row->moved() }}</td>@endif
</tr>
