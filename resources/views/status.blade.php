<x-layout title="Is all well?" at="team">
    <x-back :to="route('team.index')">Team</x-back>
    <x-heading title="Is all well?" :about="$page->about()" />
    <x-table :heads="['What', 'How it is', '']" :moves="false" class="mt-3">
        @foreach ($page->rows() as $row)
            <tr><td class="fw-semibold">@if ($row['url'])<a class="text-body" href="{{ $row['url'] }}">{{ $row['name']
                }}</a>@else{{ $row['name'] }}@endif</td>
                <td>{{ $row['says'] }}</td>
                <td>@if ($row['isWell'])<span class="text-primary">well</span>@else<strong class="text-danger">needs a
                    look</strong><span class="d-block small text-body-secondary">{{ $row['then'] }}</span>@endif</td>
            </tr>
        @endforeach
    </x-table>
    <p class="form-text">The command ./luftig check looks at whether what must hold of the data
        holds.</p>
</x-layout>
