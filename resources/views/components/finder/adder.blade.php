{{-- The next step: a field that one types into, with the conditions under it; without scripts, its suggestions are the
    browser's. --}}
@props(['page'])
<div class="stair adds flex-shrink-0">
    <div class="well"><div class="column"><svg width="100%" height="26" aria-hidden="true"></svg><span
        class="figure">+</span></div></div>
    <div class="under" x-data="choose" data-takes-first @focusout="leave">
        <x-form method="get" :to="route('finder')">
            <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
            <label class="small text-body-secondary" for="add">add a condition</label>
            <input class="form-control form-control-sm" id="add" name="add" list="conditions" autocomplete="off"
                placeholder="type to find"
                x-ref="typed" role="combobox" aria-expanded="false" aria-controls="conditions-found"
                    :aria-expanded="open"
                aria-keyshortcuts="s" @focus="narrow" @input="narrow" @keydown.down="down" @keydown.up="up"
                    @keydown.enter="enter"
                @keydown.escape="close">
        </x-form>
        <datalist id="conditions">
            @foreach ($page->conditions() as $fields)@foreach ($fields as $one)
                <option>{{ $one['field']->label() }}</option>@endforeach @endforeach
        </datalist>
        <div class="conditions dropdown-menu dropdown-menu-end p-2" id="conditions-found" role="listbox"
            aria-label="Conditions" x-ref="found" :class="{ show: open }">
            @foreach ($page->conditions() as $group => $fields)
                <div role="group" aria-label="{{ $group }}">
                    <p role="presentation" class="dropdown-header px-2 py-1">{{ $group }}</p>
                    @foreach ($fields as $one)
                        <a class="dropdown-item rounded px-2 py-1" role="option" aria-selected="false" tabindex="-1"
                            href="{{ $one['url'] }}"
                            id="condition-{{ $loop->parent->index }}-{{ $one['field']->value }}">{{
                                $one['field']->label() }}</a>
                    @endforeach
                </div>
            @endforeach
        </div>
    </div>
</div>
