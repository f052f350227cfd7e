<x-layout title="{{ $page->title() }}" at="rules">
    <x-back :to="route('angles.index', $page->offer)">Angles</x-back>
    <h1 class="breaks">{{ $page->title() }}</h1>
    <x-wrong :for="['angle', 'words.*', 'parts.*']" />
    <x-form :to="$page->to()" class="row g-4 mt-0" hx-post="{{ route('angles.preview', $page->offer) }}"
        hx-target="#holding" hx-trigger="load, change delay:250ms, input changed delay:700ms from:find textarea"
        hx-sync="this:replace">
        <input type="hidden" name="version" value="{{ $page->version() }}">
        <div class="col-lg-7 vstack gap-4">
            <div class="row g-3">
                <x-field width="col-md-5" label="Name" name="name" maxlength="80"
                    :value="old('name', $page->angle['name'] ?? '')" />
                <x-field width="col-md-7" label="What it says, in one line for the rep" name="say"
                    maxlength="190" :value="old('say', $page->angle['say'] ?? '')" />
            </div>
            <x-section title="What it rests on" about="it holds where all that is needed does">
                @foreach ($page->parts() as $i => $part)
                    <fieldset class="row g-2 pt-2"><legend class="visually-hidden">Part {{ $i + 1 }}</legend>
                        <x-field width="col-md-4" small hidden label="Rests on" name="parts[{{ $i }}][is]"
                            :options="$page->sorts()" :value="$part['is']" />
                        <x-field width="col-md-2" small hidden label="Whose" name="parts[{{ $i }}][whose]"
                            :options="$page->whose()" :value="$part['whose']" />
                        <x-field width="col-md-4" small hidden label="Words, as a query, or the value"
                            name="parts[{{ $i }}][words]" :value="$part['words']" placeholder="leak* OR planner*" />
                        <x-field width="col-md-2" small hidden label="Needed" name="parts[{{ $i }}][need]"
                            :options="['needed' => 'needed', 'welcome' => 'welcome']" :value="$part['need']" />
                        <input type="hidden" name="parts[{{ $i }}][role]" value="{{ $part['role'] }}">
                    </fieldset>
                @endforeach
            </x-section>
            <x-section title="In which words" :about="$page::SLOTS">
                @foreach ($page->words() as $i => $words)
                    <x-more :open="$i === 0" class="border-bottom py-2"
                        :says="$page->heading($words['language'] ?? '')">
                        <div class="row g-2 mt-1">
                            <x-field width="col-md-4" small label="Language" name="words[{{ $i }}][language]"
                                :options="$page->languages()" :value="$words['language'] ?? ''" />
                            <x-field width="col-md-8" small label="Subject, at most seven words"
                                name="words[{{ $i }}][subject]" :value="$words['subject'] ?? ''" maxlength="150" />
                            <x-field width="col-12" label="Message, at most 600 characters" lines="6"
                                name="words[{{ $i }}][message]" :value="$words['message'] ?? ''" />
                            @foreach ($page->kinds() as $kind => $label)
                                <x-field width="col-md-6" label="{{ ucfirst($label) }}" lines="3"
                                    name="words[{{ $i }}][{{ $kind }}]" :value="$words[$kind] ?? ''" />
                            @endforeach
                        </div>
                    </x-more>
                @endforeach
                <p class="form-text">What has no words of its own is said as the message. {{ $page::SECTIONS }}</p>
            </x-section>
        </div>
        <div class="col-lg-5">
            <div class="sticky-lg-top pt-lg-3 vstack gap-3">
                <section class="card card-body vstack gap-3">
                    <div class="d-flex flex-wrap gap-2"><x-button kind="primary">Save as version
                        {{ $page->version() + 1 }}</x-button>
                        <x-button type="button" hx-post="{{ route('angles.preview', $page->offer) }}"
                            hx-target="#holding">Show whom it holds for</x-button></div>
                    <h2>Today</h2>
                    <div id="holding" aria-live="polite"><p class="text-body-tertiary">Whom it holds for stands here as
                        soon as it is written.</p></div>
                </section>
            </div>
        </div>
    </x-form>
    @if ($page->at !== null)
        <x-form :to="route('angles.destroy', [$page->offer, $page->at])" method="delete" class="mt-4">
            <input type="hidden" name="version" value="{{ $page->version() }}">
            <x-button small kind="link">Remove this angle</x-button>
        </x-form>
    @endif
</x-layout>
