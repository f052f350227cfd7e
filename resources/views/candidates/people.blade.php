<x-table :heads="['Who', 'What they did', 'Where they would belong', '-Decide']">
    @foreach ($page->rows as $row)
        <tr data-row data-url="{{ $row['person']->profile }}">
            <td><strong class="breaks">{{ $row['person']->name }}</strong><br>
                <span class="small text-body-secondary breaks">{{ $row['says'] }}</span></td>
            <td class="small breaks">@if ($row['link'])<a href="{{ $row['link'] }}" rel="noreferrer noopener"
                target="_blank">{{ $row['seen'] }}</a>@endif</td>
            <td class="small">@if ($row['account'])<a href="{{ route('accounts.show', $row['account']->id) }}">{{
                $row['account']->name }}</a>@else their company is not in the base, or not known @endif</td>
            <td><x-form :to="route('candidates.person', $row['person']->id)" method="patch" class="hstack gap-2
                justify-content-end">
                @if ($row['account'])<input type="hidden" name="account" value="{{ $row['account']->id }}">
                @else<input class="form-control form-control-sm" name="is" maxlength="190"
                    placeholder="domain or name" aria-label="The account of {{ $row['person']->name }}">@endif
                <x-button small name="do" value="accept" aria-label="Take {{ $row['person']->name }} into the
                    base">Take in</x-button>
                <x-button small name="do" value="aside" aria-label="Put {{ $row['person']->name }} aside">Put
                    aside</x-button></x-form></td></tr>
    @endforeach
</x-table>
