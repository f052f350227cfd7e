<x-layout title="Words" at="finder">
    <x-back :to="route('finder', $search->parameters())">Finder</x-back>
    <h1>Words seen in these</h1>
    <div class="measure">@include('finder.words')</div>
</x-layout>
