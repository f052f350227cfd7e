@props(['control'])
<p class="col-12 small text-body-tertiary">{{ $control->label }}</p>
