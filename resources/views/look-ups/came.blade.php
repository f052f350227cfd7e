<td>{{ $row['outcome'] }}@if ($row['why'] !== '')<br><span
    class="small text-body-secondary">{{ $row['why'] }}</span>@endif</td>
<td class="small">@foreach ($row['asked'] as $one)<span class="d-block breaks">{{ $one['service'] }}: {{ $one['says'] }}
    <span class="text-body-secondary">· {{ $one['price'] }}</span></span>@endforeach</td>
