@props(['control'])
<div class="col-auto"><x-tick :label="$control->label" :name="$control->name" value="1"
    :checked="$control->value === '1'"
    :autofocus="$control->first" /></div>
