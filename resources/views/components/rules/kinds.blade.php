@props(['kinds'])
<x-table :heads="['Kind', 'Counts', 'Weight', 'Rises, days', 'Holds, days', 'Half-life, days']" :moves="false"
    class="table-sm align-middle">
    @foreach ($kinds as $one)
        <tr>
            <td>{{ $one['kind']->label() }} @if ($one['changed'])<span class="badge bg-body-secondary"
                title="{{ $one['changed'] }}">changed</span>@endif</td>
            <td class="col-2"><x-field hidden small :label="$one['kind']->label().' counts'"
                name="kinds[{{ $one['kind']->value }}][counts]"
                :options="App\View\Choices::of(Luftig\Core\Signal\Counts::class)" :value="$one['counts']" /></td>
            @foreach ($one['numbers'] as $field => $number)
                <td><input class="form-control form-control-sm" type="number"
                    name="kinds[{{ $one['kind']->value }}][{{ $field }}]" step="any" min="0"
                    value="{{ $number['value'] }}" max="{{ $number['most'] }}" required
                        aria-label="{{ $number['label'] }}"></td>
            @endforeach
        </tr>
    @endforeach
</x-table>
