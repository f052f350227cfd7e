@props(['control'])
<x-field width="col-{{ $control->width }}" :label="$control->label" :name="$control->name" :value="$control->value"
    inputmode="text" maxlength="2000"
    :placeholder="$control->placeholder" :required="$control->required" :autofocus="$control->first" />
