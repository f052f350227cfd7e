@props(['label', 'row', 'list'])
<fieldset class="py-1">
    <legend class="form-label fs-6 mb-1">{{ $label }}</legend>
    <div class="d-flex flex-wrap column-gap-3">
        <x-ticks name="{{ $row->name($list) }}[]" :options="App\Support\FunctionNames::all()"
            :chosen="$row->chosen($list)" />
    </div>
</fieldset>
