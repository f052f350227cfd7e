@use('App\View\Rules\AnglePage')
<x-layout title="{{ $page->title() }}" at="rules">
    <x-back :to="route('stories.index', $page->offer)">Stories</x-back>
    <h1 class="breaks">{{ $page->title() }}</h1>
    <x-wrong :for="['words', 'words.*']" />
    <x-form :to="$page->to()" class="row g-4 mt-0">
        <div class="col-lg-8 vstack gap-4">
            <div class="row g-3">
                <x-field width="col-md-5" label="Name, among us" name="name" maxlength="120" required
                    :value="old('name', $page->story->name)" />
                <x-field width="col-md-4" label="The customer’s website, if an account" name="domain"
                    :value="old('domain', $page->domain())" />
                <x-field width="col-md-3" label="May be told from" name="told_from" type="date"
                    :value="old('told_from', $page->story->told_from?->toDateString())" />
                <div class="col-12"><input type="hidden" name="named" value="0"><x-tick name="named" value="1"
                    :checked="(bool) old('named', $page->story->named)">The customer may be named</x-tick></div>
            </div>
            <x-section title="In which words" about="slots: story_customer, story_problem, story_done, story_result">
                @foreach ($page->words() as $i => $words)
                    <x-more :open="$i === 0" class="border-bottom py-2" :says="($words['language'] ?? '') === ''
                        ? 'In a language' : AnglePage::language($words['language'])">
                        <div class="row g-2 mt-1">
                            <x-field width="col-md-4" small label="Language" name="words[{{ $i }}][language]"
                                :options="AnglePage::languages()" :value="$words['language'] ?? ''" />
                            @foreach ($page::PARTS as $part => $label)
                                <x-field width="col-12" small :label="$label" name="words[{{ $i }}][{{ $part }}]"
                                    maxlength="300" :value="$words[$part] ?? ''" />
                            @endforeach
                        </div>
                    </x-more>
                @endforeach
            </x-section>
            <x-section title="What the customer is" about="of an account, what is left empty is taken from there">
                <div class="row g-3 mt-0">
                    <x-field width="col-md-6" small label="Industry, name or code" name="industry"
                        :value="old('industry', $page->industry())" />
                    <x-field width="col-6 col-md-3" small label="Heads" name="headcount" type="number" min="1"
                        :value="old('headcount', $page->story->headcount)" />
                    <x-field width="col-6 col-md-3" small label="Country" name="country"
                        :value="old('country', $page->country())" />
                    <x-field width="col-12" small label="Technologies in use, with commas" name="technologies"
                        :value="old('technologies', implode(', ', $page->story->technologies))" />
                </div>
            </x-section>
            <div class="hstack gap-2"><x-button kind="primary">Save the story</x-button></div>
        </div>
        <div class="col-lg-4">
            @if ($page->toldTo() !== [])
                <x-section title="Told to, today" about="of the best ranked">
                    @foreach ($page->toldTo() as $account)
                        <p class="border-top py-1 mb-0"><a href="{{ route('accounts.show', $account) }}">{{
                            $account->name }}</a></p>
                    @endforeach
                </x-section>
            @endif
        </div>
    </x-form>
    @if ($page->story->exists)
        <x-form :to="route('stories.destroy', $page->story)" method="delete" class="mt-4">
            <x-button small kind="link">Remove this story</x-button>
        </x-form>
    @endif
</x-layout>
