<x-modal id="export" title="Export {{ $page->found() }}">
    <form method="get" class="vstack gap-3">
        <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
        <fieldset><legend class="form-label fs-6">Columns, in this order; drag them, or move them with the
            arrows</legend>
            <ol class="list-group list-group-flush tall overflow-y-auto" x-data="order" @pointerenter="ready">
                @foreach ($page->columns() as $column => $chosen)
                    <li class="list-group-item hstack py-1 px-0" data-one>
                        <x-tick :label="$column" name="columns[]" :value="$column" :checked="$chosen" />
                        <button class="btn btn-sm ms-auto" type="button" @click="earlier"
                            aria-label="Move {{ $column }} up">↑</button>
                        <button class="btn btn-sm" type="button" @click="later"
                            aria-label="Move {{ $column }} down">↓</button>
                    </li>
                @endforeach
            </ol></fieldset>
        <p class="small text-body-secondary">@if ($page->isOfContacts())Whoever asked not to be contacted is left out;
            of others who are kept out, the column “kept out” says why, and vCards leave them out too.
            @else Of accounts that are kept out, the column “kept out” says why.@endif</p>
        <div class="d-flex flex-wrap gap-2">
            <x-button kind="primary" formaction="{{ route('finder.export', 'csv') }}">CSV</x-button>
            <x-button formaction="{{ route('finder.export', 'xlsx') }}">XLSX</x-button>
            <x-button formaction="{{ route('finder.export', 'jsonl') }}">JSON Lines</x-button>
            @if ($page->isOfContacts())<x-button formaction="{{ route('finder.export', 'vcf') }}">vCards</x-button>
                @endif
            <x-button type="button" data-bs-dismiss="modal">Leave it</x-button>
        </div>
    </form>
</x-modal>
<x-confirm id="watch" title="Watch this search" :to="route('watches.store')" does="Watch">
    <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
    @if (count($page->watches()) > 1)<x-field label="As" name="as" :options="$page->watches()" />@endif
    <x-field label="Name of a new one" name="name" maxlength="100" />
    <x-watch-fields />
    <p class="small text-body-tertiary">Only those who are new from now on are shown, each with what made it new.</p>
</x-confirm>
<x-modal id="keep-list" title="Keep as list"
    :opens="$errors->hasAny(['name', 'per_account', 'best', 'onto']) && old('rhythm') === null">
    <x-form :to="route('finder.keep')" class="vstack gap-3" id="keep-form">
        <x-finder.hidden :subject="$page->search->subject" :steps="$page->search->steps" />
        <x-field label="Onto" name="onto" :options="$page->lists()" :value="old('onto')" />
        <x-field label="Name of a new one" name="name" maxlength="100"
            :value="old('rhythm') === null ? old('name') : ''" />
        @if ($page->isOfContacts())
            <x-field label="At most so many at one account (empty: all)" name="per_account" type="number" min="1"
                max="50" :value="old('per_account')" />
        @endif
        <x-field label="Only the best so many (empty: all)" name="best" type="number" min="1" :value="old('best')" />
        <p class="small text-body-tertiary">All that were found, or only those ticked, on whatever page. The list
            remembers this search.</p>
        <div class="hstack gap-2"><x-button kind="primary">Keep</x-button><x-button type="button"
            data-bs-dismiss="modal">Leave it</x-button></div>
    </x-form>
</x-modal>
<x-modal id="tag" title="Tag">
    <div class="vstack gap-3">
        <input type="hidden" name="subject" value="{{ $page->search->subject->value }}" form="keep-form">
        <x-field label="Tag" name="tag" maxlength="60" list="tags" autocomplete="off" form="keep-form" />
        <datalist id="tags">@foreach ($page->tags() as $tag)<option>{{ $tag }}</option>@endforeach</datalist>
        <p class="small text-body-tertiary">On all that were found, or only those ticked, on whatever page.</p>
        <div class="hstack gap-2"><x-button kind="primary" form="keep-form" formaction="{{ route('tags.store') }}"
            formnovalidate>Tag</x-button>
            <x-button type="button" data-bs-dismiss="modal">Leave it</x-button></div>
    </div>
</x-modal>
