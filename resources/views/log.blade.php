<x-layout title="The log" at="team">
    <x-back :to="route('team.index')">Team</x-back>
    <x-heading title="The log" :about="$page->about()" />
    <p class="text-body-tertiary measure">Who did what and when. It only grows: nobody changes a line or takes one out,
        but for what names somebody who asked to be erased.</p>
    <x-form :to="route('log')" method="get" class="row g-2 align-items-end my-3">
        <x-field small width="col-md-3" label="By" name="by" :options="$page->people()" :value="$page->by" />
        <x-field small width="col-md-4" label="With the words" name="words" maxlength="100" :value="$page->words" />
        <x-field small width="col-md-3" label="Since" name="since" type="date" :value="$page->since" />
        <div class="col-auto"><x-button small>Show</x-button></div>
    </x-form>
    @if ($page->rows() === [])<x-empty>Nothing like that stands in the log.</x-empty>
    @else
        <x-table :heads="['When', 'Who', 'What', 'Of what', 'From and to']" :moves="false">
            @foreach ($page->rows() as $row)
                <tr><td class="text-nowrap">{{ $row['at'] }}</td><td>{{ $row['by'] }}</td>
                    <td class="breaks">{{ $row['what'] }}</td>
                    <td class="breaks">@if ($row['url'])<a href="{{ $row['url'] }}">{{ $row['of'] }}</a>@else{{
                        $row['of'] }}@endif</td>
                    <td class="small breaks">@foreach ($row['changes'] as $one)<span class="d-block">{{ $one
                    }}</span>@endforeach</td></tr>
            @endforeach
        </x-table>
        <x-pager :pages="$page->lines" />
    @endif
</x-layout>
