<x-layout title="Ledger" at="look-ups">
    <x-back :to="route('look-ups')">Look-ups</x-back>
    <x-heading title="Ledger" :about="$page->about()" />
    @if ($page->lines->isEmpty())<x-empty>No service was asked yet.</x-empty>
    @else
        <x-table :heads="['Asked', 'Service', 'For whom', 'By', 'What it said', '#Credits']" :moves="false">
            @foreach ($page->rows() as $row)
                <tr><td class="small text-nowrap"><x-ago :time="$row['line']->asked_at" /></td>
                    <td>{{ $row['service'] }}</td>
                    <td>@if ($row['line']->contact)<a href="{{ route('contacts.show',
                        $row['line']->contact) }}">{{ $row['who'] }}</a>@elseif ($row['line']->account)<a
                        href="{{ route('accounts.show', $row['line']->account) }}">{{ $row['who'] }}</a>@else{{
                        $row['who'] }}@endif</td>
                    <td class="small">{{ $row['by'] }}</td><td class="small breaks">{{ $row['says'] }}</td>
                    <td class="text-end">{{ $row['price'] }}</td></tr>
            @endforeach
        </x-table>
        <x-pager :pages="$page->lines" />
    @endif
</x-layout>
