@if ($page->dates() !== [])
    <x-section title="Which way days are written" class="mt-3">
        @foreach ($page->dates() as $column)
            <fieldset class="mt-2"><legend class="form-label fs-6">{{ $column['label'] }}</legend>
                <x-ticks type="radio" :name="$column['name']" :options="$column['options']"
                    :chosen="[$column['chosen']]" /></fieldset>
        @endforeach
    </x-section>
@endif
@if ($page->words() !== [])
    <x-section title="What these words mean" class="mt-3">
        <div class="row g-3 mt-0">
            @foreach ($page->words() as $one)
                <div class="col-6 col-md-4 col-lg-3">
                    <input type="hidden" name="{{ $one['name'] }}[word]" value="{{ $one['word'] }}">
                    <x-field :label="$one['label']" :name="$one['name'].'[means]'" :options="$one['options']"
                        :value="$one['chosen']" /></div>
            @endforeach
        </div>
    </x-section>
@endif
