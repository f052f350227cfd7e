@use('App\Support\Format')
<x-layout title="Accounts" at="accounts">
    <x-heading title="Accounts" :about="$page->offer->name">
        <x-form method="get" :to="route('accounts.index')" class="d-flex flex-wrap gap-2" role="search">
            <input type="hidden" name="tab" value="{{ $page->ranking->state->value }}">
            <input type="hidden" name="sort" value="{{ $page->ranking->sort }}">
            @if ($page->isPicture)<input type="hidden" name="view" value="picture">@endif
            <x-field hidden label="Name or domain" name="q" id="q" type="search" :value="$page->ranking->search"
                placeholder="Name or domain" />
            <x-narrow :narrowed="$page->ranking->narrowed" />
            <x-button>Show</x-button>
            @can('create', App\Models\Account::class)<x-button :href="route('accounts.create')">Add an
                account</x-button>@endcan
            @if ($page->isRanked())<x-button :href="$page->otherView()">{{ $page->isPicture ? 'As a list'
                : 'As a picture' }}</x-button>@endif
        </x-form>
    </x-heading>
    <x-tabs :tabs="$page->tabs()" label="States" />
    @if ($page->isPicture)
        @include('accounts.picture')
    @elseif ($page->standings->isEmpty())
        <x-empty>
            @if ($page->ranking->search !== '') Nothing here is called “{{ $page->ranking->search }}”. Other tabs may
                hold it.
            @elseif ($page->ranking->narrowed->isNarrow()) Nobody here, {{ $page->ranking->narrowed->says() }}. Other
                tabs may hold some.
            @elseif ($page->isRanked()) No account has a live signal that counts for it.
                <a href="/intake">Bring signals</a>, or look at the waiting ones.
            @else None. @endif
        </x-empty>
    @else
        <x-table :heads="$page->heads()">
            @foreach ($page->rows() as $row)
                <x-accounts.row :$row :ranked="$page->isRanked()" />
            @endforeach
        </x-table>
        <x-pager :pages="$page->standings" />
    @endif
</x-layout>
