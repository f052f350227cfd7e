@if ($trial['mistake'])<p class="text-danger" role="alert">{{ $trial['mistake'] }}</p>
@else
    <x-section title="What it finds">
        <p class="py-2">{{ $trial['says'] }}</p>
        @foreach ($trial['titles'] as $title)<p class="border-top py-2 small breaks">{{ $title }}</p>@endforeach
    </x-section>
@endif
