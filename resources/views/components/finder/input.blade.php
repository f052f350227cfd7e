@props(['name', 'label', 'value' => '', 'required' => false, 'first' => false, 'mode' => 'decimal', 'placeholder' => ''])
<label class="field"><span>{{ $label }}</span><input name="{{ $name }}" value="{{ $value }}" inputmode="{{ $mode }}" maxlength="2000" placeholder="{{ $placeholder }}" @required($required) @if ($first) data-first @endif></label>
