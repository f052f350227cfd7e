<x-layout title="Contacts" at="contacts">
    <x-heading title="Contacts" about="who takes part in buying, {{ $page->offer->name }}">
        <x-form method="get" :to="route('contacts.index')" class="d-flex flex-wrap gap-2" role="search">
            @if ($page->list->part)<input type="hidden" name="part" value="{{ $page->list->part->value }}">@endif
            <x-field hidden label="Name or title" name="q" id="q" type="search" :value="$page->list->search"
                placeholder="Name or title" />
            <x-button>Search</x-button>
            @unless ($page->isEmpty())
                <x-button :href="route('contacts.export', ['csv'] + $page->list->parameters())"
                    aria-label="Export as CSV">CSV</x-button>
                <x-button :href="route('contacts.export', ['xlsx'] + $page->list->parameters())"
                    aria-label="Export as XLSX">XLSX</x-button>
                <x-button :href="route('contacts.export', ['jsonl'] + $page->list->parameters())"
                    aria-label="Export as JSON Lines">JSON Lines</x-button>
                <x-button :href="route('contacts.export', ['vcf'] + $page->list->parameters())"
                    aria-label="Export as vCards">vCards</x-button>
            @endunless
        </x-form>
    </x-heading>
    <x-tabs :tabs="$page->tabs()" label="Parts" />
    @if ($page->isEmpty())
        <x-empty>
            @if ($page->list->search !== '') Nobody here has “{{ $page->list->search }}” in the name or title.
            @elseif (! $page->hasRoles()) This offer has no buyer roles yet, so nobody is known to take part.
                @can('create', App\Models\RuleSet::class)<a href="/rules">Say under Rules</a> who takes part in buying.
                @else A lead says under Rules who takes part in buying. @endcan
            @else Nobody known takes this part. <a href="/intake">Bring contacts</a> with their titles, and
                they stand here. @endif
        </x-empty>
    @else
        @if ($page->list->isCut())<p class="small text-body-secondary mt-2">More than {{ $page->most() }} contacts are
            called so; only that many were looked at. Type more of the name or title, or look for the <a
                href="{{ $page->inFinder() }}">title in the Finder</a>, which looks at all.</p>@endif
        <x-table :heads="['#Priority', 'Contact', 'Part', 'Account', 'Why now', 'In the position', 'In the company',
            'Channel']">
            @foreach ($page->rows() as $row)<x-contacts.row :$row />@endforeach
        </x-table>
        <x-pager :pages="$page->pages" />
    @endif
</x-layout>
