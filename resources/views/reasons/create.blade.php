<x-layout title="A reason for {{ $page->account->name }}" at="accounts">
    <x-back :to="route('accounts.show', $page->account)">{{ $page->account->name }}</x-back>
    <h1 class="breaks">Why approach {{ $page->account->name }} now</h1>
    <x-form :to="route('reasons.store', $page->account)" class="row g-4 mt-0">
        <div class="col-lg-8 vstack gap-3" x-data="words" data-names="{{ json_encode($page->firstNames()) }}"
            data-limits="{{ json_encode($page->limits()) }}">
            <div class="row g-3">
                <x-field width="col-md-8" label="To" name="contact" :options="$page->people()"
                    :value="old('contact', $page->contact?->id)" @change="greet" />
                <x-field width="col-md-4" label="By" name="channel" :options="$page->kinds()" :value="old('channel')"
                    @change="count" />
            </div>
            <x-field label="In which words" name="words" lines="7" required maxlength="2000" @input="count"
                :value="old('words', $page->draft->words())"
                hint="Leave out words that tell time, such as “yesterday”: they may be used some days from now." />
            <p class="small text-body-secondary" role="status" x-text="length"></p>
            <input type="hidden" name="angle"
                value="{{ is_array(old('angle')) ? '' : old('angle', $page->draft->angle) }}">
            <div class="hstack gap-2"><x-button kind="primary">Record the reason</x-button>
                <x-button :href="route('accounts.show', $page->account)">Leave it</x-button></div>
        </div>
        <div class="col-lg-4">
            <fieldset class="card card-body">
                <legend class="fs-5 font-figure fw-bold">What the words rest on</legend>
                <p class="small text-body-secondary mb-2">Tick what they mention. The reason is good as long as all of
                    it is fresh.</p>
                <x-wrong for="signals" />
                @foreach ($page->signals() as $one)
                    <x-tick class="mt-1" name="signals[]" :value="$one['line']->signal->id" :checked="$one['ticked']"
                        :disabled="! $one['may']">
                        <span @class(['text-body-secondary' =>
                            ! $one['may']])>{{ $one['line']->signal->title }}</span><br>
                        <x-barb :line="$one['line']" bare /> <span class="small text-body-secondary">
                            <x-ago :time="$one['line']->signal->occurred_at" /> {{ $one['note'] }}</span>
                        @if ($one['line']->signal->quote)
                            <blockquote>{{ $one['line']->signal->quote }}</blockquote>@endif
                    </x-tick>
                @endforeach
                @if ($page->facts !== [])
                    <h3 class="mt-3">Facts</h3>
                    @foreach ($page->facts as $fact)<x-tick name="facts[]" :value="$fact"
                        :checked="$page->isTicked($fact)" :label="$fact" />@endforeach
                @endif
                @if ($page->isEmpty())<p class="text-body-tertiary">Nothing is known that words could rest on. Bring
                    signals or facts of this account
                    first.</p>@endif
            </fieldset>
        </div>
    </x-form>
</x-layout>
