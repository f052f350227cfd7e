{{-- Many of a list to tick, or one of it to choose: options by value, and those that are chosen. Not each a component
    of its own, since there are pages with hundreds. --}}
@props(['name', 'options', 'chosen' => [], 'type' => 'checkbox', 'inline' => false, 'first' => false])
@foreach ($options as $value => $label)
    <label @class(['form-check mb-0', 'form-check-inline' => $inline])>
        <input type="{{ $type }}" @checked(in_array((string) $value, $chosen, true)) @if ($first && $loop->first)
            autofocus="autofocus" @endif class="form-check-input" name="{{ $name }}" value="{{ $value }}">
        <span class="form-check-label">{{ $label }}</span>
    </label>
@endforeach
