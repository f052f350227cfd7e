{{-- A text query that is read back in words while it is typed; with lines it also takes a pasted list, and Enter sends
    it. --}}
@props(['name', 'label', 'value' => '', 'required' => false, 'first' => false, 'placeholder' => '', 'lines' => false,
    'most' => 1000])
<div>
    <x-field :$label>
        @if ($lines)
            <textarea class="form-control" name="{{ $name }}" rows="1" placeholder="{{ $placeholder }}"
                @required($required)
                @if ($first) autofocus @endif x-data="sends" @keydown.enter="enter" hx-post="{{ route('reads') }}"
                hx-trigger="input changed delay:150ms" hx-target="next .reads" hx-params="{{ $name }}"
                    hx-sync="this:replace">{{ is_array($value) ? '' : $value }}</textarea>
        @else
            <input class="form-control" name="{{ $name }}" value="{{ is_array($value) ? '' : $value }}"
                maxlength="{{ $most }}"
                placeholder="{{ $placeholder }}"
                @required($required) hx-post="{{ route('reads') }}" hx-trigger="input changed delay:150ms"
                    hx-target="next .reads"
                hx-params="{{ $name }}" hx-sync="this:replace">
        @endif
    </x-field>
    <div class="reads small text-body-tertiary breaks" aria-live="polite"><x-reads :text="$value" /></div>
</div>
