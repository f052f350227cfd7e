@props(['control'])
<div class="col-12">
    <x-picker lines :name="$control->name" :chosen="$control->options" :typed="$control->name" :value="$control->value"
        :label="$control->label" :suggests="$control->suggests" :required="$control->required" />
</div>
