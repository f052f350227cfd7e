<x-layout title="Go to" at="">
    <h1>Go to</h1>
    <form method="get" action="{{ route('go') }}" class="buttons gap" role="search"><label class="visually-hidden" for="q">An account, a contact or a screen</label><input id="q" type="search" name="q" value="{{ $text }}"><button class="button primary">Find</button></form>
    <div class="found gap narrow">@include('go.results')</div>
</x-layout>
