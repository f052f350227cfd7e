@props(['label', 'row', 'list'])
<fieldset class="py-1">
    <legend class="form-label fs-6 mb-1">{{ $label }}</legend>
    <div class="d-flex flex-wrap column-gap-3">
        @foreach (App\Support\FunctionNames::all() as $function => $name)
            <x-tick :label="$name" name="{{ $row->name($list) }}[]" :value="$function"
                :checked="$row->has($list, $function)" />
        @endforeach
    </div>
</fieldset>
