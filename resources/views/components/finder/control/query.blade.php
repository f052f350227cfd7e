@props(['control'])
<div class="col-12">
    <x-query lines :name="$control->name" :label="$control->label" :value="$control->value"
        :placeholder="$control->placeholder"
        :required="$control->required" :first="$control->first" />
</div>
