<x-layout title="Candidates" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1>Candidates</h1>
    <p class="text-body-tertiary mt-2 measure">Companies and people that turned up in a source and are in no list. Whom
        you take into the base is ranked with what was seen of them; whom you put aside does not come up again.</p>
    <x-tabs :tabs="$page->tabs()" label="Which candidates" />
    <x-wrong :for="['ids', 'is']" />
    @if ($page->rows === [])<x-empty>Nobody, at present. What a feed tells of somebody who is not in the base stands
        here.</x-empty>
    @elseif ($page->tab === 'people')@include('candidates.people')
    @else @include('candidates.companies')
    @endif
    <x-pager :pages="$page->pages" />
</x-layout>
