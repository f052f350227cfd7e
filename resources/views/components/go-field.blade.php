<div x-data="choose" data-takes-first>
    <input class="form-control" id="go-q" name="q" type="search" autocomplete="off" autofocus x-ref="typed"
        role="combobox" aria-expanded="true"
        aria-controls="go-found" aria-label="An account, a contact, a list or a screen"
        placeholder="An account, a contact, a list or a screen" hx-get="{{ route('go') }}"
            hx-trigger="focus once, input changed delay:120ms"
        hx-target="#go-found" hx-sync="this:replace" @keydown.down="down" @keydown.up="up" @keydown.enter="enter">
    <div id="go-found" class="list-group list-group-flush mt-2" role="listbox" aria-label="What is called so"
        aria-live="polite" x-ref="found"></div>
</div>
