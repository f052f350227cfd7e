@use('App\Feeds\Formats')
@use('App\Support\Format')
@use('App\View\Feeds\Rhythms')
<x-layout :title="$feed->exists ? $feed->name : 'A new feed'" at="intake">
    <x-back :to="$feed->exists ? route('feeds.show', $feed) : route('intake.index')">{{ $feed->exists ? $feed->name
        : 'Intake' }}</x-back>
    <h1>{{ $feed->exists ? 'Change '.$feed->name : 'A new feed' }}</h1>
    <p class="text-body-tertiary mt-2 measure">A source that is asked by itself, in an open format that it speaks. Try
        it first: you see what its first items would become, and nothing is kept.</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-5">
            <x-form :to="$feed->exists ? route('feeds.update', $feed) : route('feeds.store')"
                :method="$feed->exists ? 'put' : 'post'" class="card card-body vstack gap-3" id="feed">
                <x-field label="Name" name="name" required maxlength="100" :value="old('name', $feed->name)"
                    placeholder="Job board of the north" />
                <x-field label="Format" name="format" :options="Formats::labels()"
                    :value="old('format', $feed->format)" />
                <x-field label="Address" name="address" type="url" required maxlength="500"
                    :value="old('address', $feed->address)" placeholder="https://board.example/feed.jsonl?since="
                    hint="Where it ends in since=, the time of the last run is put behind it; {domain} stands for
                        that of each account." />
                <x-field label="How often" name="rhythm" :options="Rhythms::all()"
                    :value="old('rhythm', $feed->rhythm)" />
                <x-field label="How sure what it says is" name="confidence" required maxlength="10"
                    :value="old('confidence', Format::percent($feed->confidence))"
                    hint="A first-hand page or feed: 90 %. By hearsay: 40 %." />
                <div class="d-flex flex-wrap gap-2">
                    <x-button kind="primary">{{ $feed->exists ? 'Save' : 'Add the feed' }}</x-button>
                    <x-button type="submit" :formaction="route('feeds.trial')" formnovalidate
                        hx-post="{{ route('feeds.trial') }}" hx-target="#trial" hx-include="#feed"
                        hx-params="not _method" hx-indicator="#trial-waits">Try it</x-button>
                    <span id="trial-waits" class="htmx-indicator text-body-secondary align-self-center"
                        role="status">It is being asked …</span>
                </div>
            </x-form>
        </div>
        <div class="col-lg-7" id="trial" aria-live="polite"></div>
    </div>
</x-layout>
