@props(['label', 'row', 'list'])
<fieldset class="py-1">
    <legend class="form-label fs-6 mb-1">{{ $label }}</legend>
    <div class="d-flex flex-wrap column-gap-3">
        @foreach (Luftig\Core\Person\BusinessFunction::cases() as $one)
            <x-tick :label="$one->label()" name="{{ $row->name($list) }}[]" :value="$one->value"
                :checked="$row->has($list, $one->value)" />
        @endforeach
    </div>
</fieldset>
