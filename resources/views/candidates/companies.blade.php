<x-form :to="route('candidates.decide')">
    @if ($page->tab !== 'aside')
        <div class="hstack gap-2 mt-3">
            <x-button kind="primary" name="do" value="accept">Take into the base</x-button>
            <x-button name="do" value="aside">Put aside</x-button>
        </div>
    @endif
    <x-table :heads="['-Choose', 'Company', 'How well it would fit', 'Seen']">
        @foreach ($page->rows as $row)
            <tr data-row data-url="{{ $row['item'] ? route('items.show', $row['item']) : '' }}">
                <td>@if ($page->tab !== 'aside')<input class="form-check-input" type="checkbox" name="ids[]"
                    value="{{ $row['company']->id }}" aria-label="Choose {{ $row['company']->name }}">@endif</td>
                <td><strong class="breaks">{{ $row['company']->name }}</strong><br>
                    <span class="small text-body-secondary breaks">{{ $row['known'] }}</span>
                    @if ($row['sought'] !== [])<br><span class="small">seeks {{ implode(', ', $row['sought'])
                        }}</span>@endif
                    @if ($row['excerpt'])<br><span class="small breaks">“{{ $row['excerpt'] }}”</span>@endif</td>
                <td class="small">{{ $row['says'] }}</td>
                <td class="small">@if ($page->tab !== 'aside')<span class="hstack gap-2 mb-1"><input
                    class="form-control form-control-sm" name="is" form="match-{{ $row['company']->id }}" required
                    maxlength="190" placeholder="domain or name" aria-label="Which account {{ $row['company']->name
                    }} is"><x-button small form="match-{{ $row['company']->id }}">Match</x-button></span>@endif
                    @if ($row['item'])<a href="{{ route('items.show', $row['item']) }}">{{ $row['seen']
                    }}</a>@endif @if ($page->tab === 'aside')<x-button small kind="link" form="reopen-{{
                    $row['company']->id }}" aria-label="Make {{ $row['company']->name }} a candidate again">Candidate
                    again</x-button>@endif</td></tr>
        @endforeach
    </x-table>
</x-form>
@foreach ($page->tab === 'aside' ? [] : $page->rows as $row)<x-form :to="route('candidates.match', $row['company'])"
    method="patch" id="match-{{ $row['company']->id }}" />@endforeach
@if ($page->tab === 'aside')
    @foreach ($page->rows as $row)<x-form :to="route('candidates.reopen', $row['company'])" method="delete"
        id="reopen-{{ $row['company']->id }}" />@endforeach
@endif
