@props(['control'])
<fieldset class="col-12">
    <legend class="form-label fs-6 mb-1">{{ $control->label }}</legend>
    <div class="d-flex flex-wrap column-gap-3 tall overflow-y-auto">
        @forelse ($control->options as $value => $text)
            <x-tick :label="$text" name="{{ $control->name }}[]" :value="$value" :checked="$control->isChosen($value)"
                :autofocus="$control->first && $loop->first" />
        @empty<p class="small text-body-tertiary">There is none yet.</p>@endforelse
    </div>
</fieldset>
