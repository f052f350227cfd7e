<x-layout title="Angles of {{ $offer->name }}" at="rules">
    <x-back :to="route('rules.edit', $offer)">Rules</x-back>
    <x-heading title="Angles" about="what can be said when something happened; the heaviest that holds is proposed">
        <x-button small kind="primary" :href="route('angles.create', $offer)">A new angle</x-button>
    </x-heading>
    <x-wrong for="angle" />
    @if (($offer->rules->angles ?? []) === [])<p class="text-body-secondary mt-3">These ship for any trade. The first
        that is changed makes them the team’s own.</p>@endif
    <ul class="list-unstyled mt-3 mb-0">
        @foreach ($angles as $at => $angle)
            <li class="row gx-0 border-top py-2">
                <div class="col-md-5"><a class="fw-bold" href="{{ route('angles.edit', [$offer, $at]) }}">{{
                    $angle['name'] }}</a><br>{{ $angle['say'] }}</div>
                <div class="col-md-5 text-body-secondary">rests on {{ $angle['on'] }}</div>
                <div class="col-md-2 small text-body-secondary">{{ $angle['languages'] }}</div>
            </li>
        @endforeach
    </ul>
</x-layout>
