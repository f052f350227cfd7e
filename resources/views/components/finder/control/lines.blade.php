@props(['control'])
<x-field width="col-12" :label="$control->label" :name="$control->name" :value="$control->value" lines="2"
    :required="$control->required" autofocus />
