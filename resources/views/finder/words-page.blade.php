<x-layout title="Words" at="finder">
    <p class="back"><a href="{{ route('finder', $search->parameters()) }}" data-back>← Finder</a></p>
    <h1>Words seen in these</h1>
    @include('finder.words')
</x-layout>
