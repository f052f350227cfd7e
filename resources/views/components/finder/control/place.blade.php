@props(['control'])
<div class="col-9" x-data="choose" @focusout="leave">
    <x-field :label="$control->label">
        <input class="form-control" name="{{ $control->name }}" value="{{ $control->value }}" required autofocus
            autocomplete="off" x-ref="typed"
            placeholder="{{ $control->placeholder }}" hx-get="{{ route('finder.places') }}"
                hx-trigger="input changed delay:120ms"
            hx-target="next [role=listbox]" role="combobox" aria-expanded="false" :aria-expanded="open" @input="show"
                @keydown.down="down"
            @keydown.up="up" @keydown.enter="enter" @keydown.escape="close">
    </x-field>
    <div class="dropdown-menu p-2" role="listbox" aria-label="Places" x-ref="found" :class="{ show: open }"
        @click="put"></div>
</div>
