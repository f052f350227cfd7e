<x-layout title="Candidates" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1>Candidates</h1>
    <p class="text-body-tertiary mt-2 measure">Companies and people that turned up in a source and are in no list. Whom
        you take into the base is ranked with what was seen of them; whom you put aside does not come up again.</p>
    <x-tabs :tabs="$page->tabs()" label="Which candidates" />
    <x-wrong :for="['ids', 'is']" />
    @if ($page->tab !== 'people')
        <x-form :to="route('candidates')" method="get" class="hstack gap-2 align-items-end mt-2"><input type="hidden"
            name="tab" value="{{ $page->tab }}"><x-field small label="Words they use" name="q" type="search"
            :value="$page->q" maxlength="500" class="measure flex-grow-1" /><x-button small>Show</x-button></x-form>
        @if ($page->problem)<p class="text-danger small mt-1" role="alert">{{ $page->problem }}</p>@endif
    @endif
    @if ($page->rows === [] && $page->q !== '')<x-empty>Nobody of these says that.</x-empty>
    @elseif ($page->rows === [])<x-empty>Nobody, at present. What a feed tells of somebody who is not in the base stands
        here.</x-empty>
    @elseif ($page->tab === 'people')@include('candidates.people')
    @else @include('candidates.companies')
    @endif
    <x-pager :pages="$page->pages" />
</x-layout>
