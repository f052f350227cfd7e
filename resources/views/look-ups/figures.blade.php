<x-section title="Figures that would move the ranking" about="of companies of which one is unknown">
    <x-form :to="route('look-ups.figures')">
        <div class="hstack gap-3 my-2"><p class="mb-0">{{ $page->pays->saysOfFigures() }}</p>
            <x-button class="ms-auto text-nowrap">Ask for these {{ count($page->pays->figures()) }}</x-button></div>
        <x-table :moves="false" :heads="['Company', 'Unknown', 'Likely by', '#Chance', '#Priority', '#Could be',
            '#Gain', '#Credits']">
            @foreach ($page->pays->figures() as $row)
                <tr><td><input type="hidden" name="figures[]" value="{{ $row['value'] }}"><a
                    class="fw-semibold text-body" href="{{ route('accounts.show',
                    $row['account']) }}">{{ $row['company'] }}</a></td>
                    <td>{{ $row['figure'] }}</td>
                    <td><span class="small">{{ $row['service'] }}</span></td>
                    <td class="text-end">{{ $row['chance'] }}</td>
                    <td class="text-end">{{ $row['now'] }}</td>
                    <td class="text-end fw-semibold">{{ $row['couldBe'] }}</td>
                    <td class="text-end text-primary">{{ $row['gain'] }}</td>
                    <td class="text-end">{{ $row['price'] }}</td></tr>
            @endforeach
        </x-table>
        <p class="form-text">Could be: the priority if the figure were that of the lower and of the upper quarter of
            their trade. Gain: the chance × the change in the mean × the part of a day’s plan it has.</p>
    </x-form>
</x-section>
