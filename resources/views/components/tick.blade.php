@props(['label' => null, 'checked' => false, 'type' => 'checkbox', 'inline' => false])
<label @class(['form-check mb-0', 'form-check-inline' => $inline])>
    <input type="{{ $type }}" @checked($checked) {{ $attributes->class('form-check-input') }}>
    <span class="form-check-label">{{ $label ?? $slot }}</span>
</label>
