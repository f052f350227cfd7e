@props(['control'])
<x-field width="col-{{ $control->width }}" :label="$control->label" :name="$control->name" :options="$control->options"
    :value="$control->value"
    :autofocus="$control->first" />
