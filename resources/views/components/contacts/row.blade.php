@props(['row'])
<tr data-row data-url="{{ $row['url'] }}">
    <td class="text-end font-figure fs-4 fw-semibold">{{ $row['priority'] }}</td>
    <td><a class="fw-semibold text-body" href="{{ $row['url'] }}">{{ $row['contact']->name() }}</a><br>
        <span class="small text-body-secondary">{{ $row['contact']->title ?? 'title unknown' }}</span>
        <a hidden aria-keyshortcuts="r" href="{{ route('reasons.create', [$row['account'],
            'contact' => $row['contact']->id]) }}">Reason</a></td>
    <td class="small">{{ $row['part'] }}</td>
    <td><a href="{{ route('accounts.show', $row['account']) }}">{{ $row['account']->name }}</a><br>
        <span class="small text-body-secondary">{{ $row['about'] }}</span></td>
    <td class="col-3 mw-0">@if ($row['line'])<x-barb :line="$row['line']" />@else<span
        class="small text-body-secondary">no live signal</span>@endif</td>
    <td class="small text-nowrap">{{ $row['times']->inPosition() ?? 'unknown' }}@if ($row['times']->arrival)<br>
        <span class="text-primary">{{ $row['times']->arrival }}</span>@endif</td>
    <td class="small text-nowrap">{{ $row['times']->inCompany() ?? 'unknown' }}</td>
    <td @class(['small', 'text-plum' => $row['isBarred']])>{{ $row['way'] }}</td>
</tr>
