@props(['inputs'])
<input type="hidden" name="{{ $inputs->name('f') }}" value="{{ $inputs->field->value }}">
@foreach ($inputs->controls() as $control)
    <x-dynamic-component :component="'finder.control.'.$control->is" :$control />
@endforeach
