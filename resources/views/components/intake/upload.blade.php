@props(['megabytes', 'title' => 'Bring files'])
<x-form :to="route('intake.store')" enctype="multipart/form-data"
    class="card card-body vstack gap-3 align-items-start" x-data="files" @dragover.prevent="" @drop.prevent="drop">
    <h2>{{ $title }}</h2>
    <p class="text-body-tertiary">XLSX, ODS, CSV or JSON Lines of accounts, contacts, customers, signals, relations,
        checked addresses or reactions to posts, or vCards. A line names the columns, in any of our languages; a cell
        that cannot be read stays empty and is shown; nothing is brought in before you have seen what becomes of it.
        What sources say (JobPosting, Atom, RSS, ActivityStreams, CloudEvents) comes in at once, as from a feed.</p>
    <x-field class="w-100" label="Files, up to {{ $megabytes }} MB each; or drop them here">
        <input class="form-control" type="file" name="file[]" multiple
            accept=".csv,.txt,.tsv,.xlsx,.ods,.vcf,.json,.jsonl,.ndjson,.xml,.atom,.rss,.html,text/csv,text/vcard"
            data-most="{{ $megabytes }}"
            x-ref="input" @change="check"></x-field>
    <p class="text-danger" id="file-told" role="alert" x-text="told"></p>
    <x-wrong for="file" />
    <x-more says="Paste rows instead" class="w-100">
        <x-field class="w-100 mt-2" label="Rows from a spreadsheet, their headings first" name="rows"
            :value="old('rows')" lines="6" />
    </x-more>
    <div class="d-flex flex-wrap gap-3 align-items-center"><x-button kind="primary" id="file-send"
        ::disabled="told !== ''">Look at it</x-button>
        <span class="small text-body-secondary">Templates to fill:
            @foreach (App\Models\IntakeKind::cases() as $kind)<a
            href="{{ route('intake.template', $kind->value) }}">{{ $kind->value }}</a>@unless ($loop->last),
            @endunless @endforeach</span></div>
</x-form>
