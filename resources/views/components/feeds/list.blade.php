{{-- Feeds with how they are doing. --}}
@props(['feeds'])
<x-section title="Feeds" id="feeds" :about="$feeds === [] ? null : 'asked by themselves'">
    @if ($feeds === [])<x-empty>No source is asked by itself yet. A job board, a paper or a register that speaks an open
        format is read every few minutes, so that a signal is seen on its day.</x-empty>
    @else
        <x-table :heads="['Feed', 'Asked last', 'Brought', 'How it is']" :moves="false">
            @foreach ($feeds as $one)
                <tr><td><a class="fw-semibold text-body breaks"
                    href="{{ route('feeds.show', $one->feed) }}">{{ $one->feed->name }}</a><br>
                        <span class="small text-body-secondary">{{ $one->format() }}</span></td>
                    <td class="small">@if ($one->last)<x-ago :time="$one->last->started_at" />@endif</td>
                    <td class="small">{{ $one->brought() }}</td><td class="small">{{ $one->state() }}</td></tr>
            @endforeach
        </x-table>
    @endif
    <p class="small mt-3"><a href="{{ route('press') }}">What the press tells, and by which words</a></p>
    <x-form :to="route('posts.store')" class="hstack gap-2 align-items-end mt-2">
        <x-field small label="A post, by its address" name="of" maxlength="500" required :value="old('of')"
            placeholder="https://" class="flex-grow-1" />
        <x-button small>Who is under it</x-button></x-form>
    @can('create', App\Models\Feed::class)<p class="mt-3"><x-button :href="route('feeds.create')">Add a
        feed</x-button> <x-button :href="route('webhooks.create')">Add a webhook</x-button></p>@endcan
</x-section>
