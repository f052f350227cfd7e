@props(['results'])
<x-table :heads="$results->heads()">
    @foreach ($results->rows() as $row)
        @if ($row['group'])
            <tr class="table-light"><th scope="rowgroup" colspan="{{ count($results->heads()) }}"><a
                href="{{ route('accounts.show', $row['account']) }}">{{ $row['account']->name }}</a>
                <span class="fw-normal text-body-secondary">· {{ $row['accountAbout'] }} · {{ $row['group'] }}</span>
                </th></tr>
        @endif
        <tr data-row data-url="{{ $row['url'] }}">
            @if ($results->mayBeTicked())
                <td><input class="form-check-input" type="checkbox" form="keep-form" name="only[]"
                    value="{{ $row['id'] }}" @checked(in_array((string) $row['id'], (array) old('only', []), true))
                    aria-label="Choose {{ $row['name'] }}"></td>
            @endif
            <td><a class="fw-semibold text-body" href="{{ $row['url'] }}">{{ $row['name'] }}</a><br>
                <span class="small text-body-secondary" data-about>{{ $row['about'] }}</span>
                @if ($row['matched'] !== [])<br><span class="small text-body-tertiary breaks"
                    data-matched>{{ implode(' · ', $row['matched']) }}</span>@endif
                @if ($row['out'])<br><span class="small text-plum">{{ $row['out'] }}</span>@endif
                <a hidden aria-keyshortcuts="r" href="{{ $row['records'] }}">Record the reason</a></td>
            @if ($row['account'])
                <td>@unless ($results->isGrouped())<a href="{{ route('accounts.show',
                    $row['account']) }}">{{ $row['account']->name }}</a><br>
                    <span class="small text-body-secondary">{{ $row['accountAbout'] }}</span>@endunless</td>
                <td class="small text-nowrap">{{ $row['cells']['before'] }}</td>
                <td>@if ($row['line'])<x-barb :line="$row['line']" bare />@endif</td>
                <td class="small">{{ $row['cells']['after'] }}</td>
            @else
                <td class="small">{{ $row['cells']['industry'] }}</td><td
                    class="small">{{ $row['cells']['place'] }}</td>
                <td>@if ($row['line'])<x-barb :line="$row['line']" bare />@endif</td>
                <td class="small text-end">{{ $row['cells']['heads'] }}</td><td
                    class="small text-end">{{ $row['cells']['contacts'] }}</td>
            @endif
            @if ($row['work'])<td class="small text-nowrap">{{ $row['work'] }}</td>@endif
            <td class="text-end font-figure fs-4 fw-semibold">{{ $row['priority'] }}</td>
        </tr>
    @endforeach
</x-table>
