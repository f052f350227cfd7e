{{-- Values as chips, picked from what is suggested while one types; what is typed and not picked is read as it stands.
    --}}
@props(['name', 'chosen', 'typed', 'value' => '', 'label', 'suggests', 'lines' => false, 'required' => false])
<div x-data="picker" @focusout="leave">
    <div class="d-flex flex-wrap gap-2" x-ref="chips">
        @foreach ($chosen as $code => $text)
            <label class="badge bg-body-secondary hstack gap-1"><input class="form-check-input m-0" type="checkbox"
                name="{{ $name }}"
                value="{{ $code }}" checked> <span class="text-wrap text-start">{{ $text }}</span></label>
        @endforeach
    </div>
    <template x-ref="chip"><label class="badge bg-body-secondary hstack gap-1"><input class="form-check-input m-0"
        type="checkbox"
        name="{{ $name }}" checked> <span class="text-wrap text-start"></span></label></template>
    <x-field :hidden="! $lines" class="mt-2" :$label>
        <{{ $lines ? 'textarea rows=2 autofocus' : 'input' }} class="form-control" name="{{ $typed }}"
            @unless ($lines)value="{{ $value }}"@endunless autocomplete="off" @required($required)
            placeholder="type to find more" x-ref="typed"
            hx-get="{{ $suggests }}" hx-trigger="input changed delay:150ms" hx-target="next [role=listbox]"
                hx-sync="this:replace"
            hx-params="{{ $typed }}" role="combobox" aria-expanded="false" :aria-expanded="open" @input="show"
                @keydown.down="down"
            @keydown.up="up" @keydown.enter="enter"
                @keydown.escape="close">@if ($lines){{ $value }}</textarea>@endif
    </x-field>
    <div class="position-relative"><div class="dropdown-menu p-2 w-100" role="listbox" aria-label="{{ $label }}"
        x-ref="found"
        :class="{ show: open }" @click="pick"></div></div>
</div>
