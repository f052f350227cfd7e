@props(['control'])
<fieldset class="col-12">
    <legend class="form-label fs-6 mb-1">{{ $control->label }}</legend>
    <div class="d-flex flex-wrap column-gap-3 tall overflow-y-auto">
        @if ($control->options === [])<p class="small text-body-tertiary">There is none yet.</p>@endif
        <x-ticks name="{{ $control->name }}[]" :options="$control->options" :chosen="$control->chosen"
            :first="$control->first" />
    </div>
</fieldset>
