{{-- A label with its control, a hint and what is wrong; a select with options, a textarea with lines, or what the slot
    holds. What somebody sent as a list where one value belongs is not shown again; a password is shown to whoever
    types it and wants to see it. --}}
@props([
    'label', 'name' => null, 'value' => null, 'type' => 'text', 'options' => null, 'lines' => null, 'hint' => null,
    'hidden' => false, 'small' => false, 'width' => null,
])
<div {{ $attributes->only('class')->class([$width]) }} @if ($type === 'password') x-data="seen" @endif>
    <label class="d-block">
        <span @class(['form-label d-block' => ! $hidden, 'visually-hidden' => $hidden])>{{ $label }}</span>
        @if ($options !== null)
            <select name="{{ $name }}" {{ $attributes->except('class')->class(['form-select',
                'form-select-sm' => $small]) }}>
                @foreach ($options as $option => $text)
                    <option value="{{ $option }}" @selected(! is_array($value)
                        && (string) $option === (string) $value)>{{ $text }}</option>
                @endforeach
            </select>
        @elseif ($lines !== null)
            <textarea name="{{ $name }}" rows="{{ $lines }}"
                {{ $attributes->except('class')->class('form-control') }}>{{ is_array($value) ? ''
                    : $value }}</textarea>
        @elseif ($slot->isNotEmpty())
            {{ $slot }}
        @else
            <input name="{{ $name }}" type="{{ $type }}" @if ($type === 'password') :type="type" @endif
                value="{{ is_array($value) ? '' : $value }}"
                {{ $attributes->except('class')->class(['form-control', 'form-control-sm' => $small]) }}>
        @endif
    </label>
    @if ($type === 'password')<x-button kind="link" small type="button" class="px-0" hidden x-ref="turn"
        @click="turn" x-text="word" />@endif
    @if ($hint)<p class="form-text">{{ $hint }}</p>@endif
    @if ($name && $errors->isNotEmpty())<x-wrong :for="$name" />@endif
</div>
