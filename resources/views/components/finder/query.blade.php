@props(['name', 'label', 'value' => '', 'required' => false, 'first' => false, 'placeholder' => ''])
<label class="field"><span>{{ $label }}</span><textarea name="{{ $name }}" rows="1" placeholder="{{ $placeholder }}" data-sends @required($required) @if ($first) data-first @endif>{{ App\Finder\Pasted::text($value) }}</textarea></label>
