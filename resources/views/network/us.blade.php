<section class="card card-body"><h2>Through whom</h2>
    <x-table :heads="['Of us', '#Book', '#Known']" :moves="false">
        @foreach ($page->people() as $one)
            <tr><td>{{ $one['user']->name }} @unless ($one['user']->signs_in)<span
                class="small text-body-secondary">leader</span>@endunless</td>
                <td class="text-end">{{ $one['book'] }}</td>
                <td class="text-end">@if ($one['url'])<a
                    href="{{ $one['url'] }}">{{ $one['within'] }}</a>@else{{ $one['within'] }}@endif</td></tr>
        @endforeach
    </x-table>
    <p class="small text-body-secondary mt-2">Book: people in the address book. Known: contacts here whom they know from
        it, from work, a school or
        an association, without those kept out.</p>
</section>
<section class="card card-body"><h2>Where we were</h2>
    @forelse ($page->stations() as $one)
        <div class="hstack gap-2 border-bottom py-2 align-items-start">
            <div>{{ $one['station']->name }}<br><span class="small text-body-secondary">{{ $one['about'] }}</span></div>
            @can('delete', $one['station'])
                <x-form :to="route('stations.destroy', $one['station'])" method="delete" class="ms-auto">
                    <x-button small kind="link"
                        aria-label="Remove {{ $one['station']->name }}">Remove</x-button></x-form>
            @endcan
        </div>
    @empty<p class="small text-body-tertiary">Nothing yet.</p>@endforelse
    <x-button class="mt-3 align-self-start" small opens="station">Add where one of us worked, studied or
        lived</x-button>
</section>
<x-confirm id="station" title="Where one of us worked, studied or lived" :to="route('stations.store')" does="Keep"
    :opens="$errors->hasAny(['user', 'kind', 'name', 'title', 'since', 'until'])">
    <x-field label="Who" name="user" :options="$page->whose(auth()->user())" :value="old('user')" />
    <x-field label="What" name="kind" :options="App\View\Network\NetworkPage::KINDS" :value="old('kind')" />
    <x-field label="Domain of the company, or the name" name="name" required maxlength="190" :value="old('name')"
        placeholder="tunhede.example" />
    <x-field label="Title there" name="title" maxlength="190" :value="old('title')" />
    <div class="row g-3">
        <x-field width="col-6" label="Since" name="since" type="date" :value="old('since')" />
        <x-field width="col-6" label="Until" name="until" type="date" :value="old('until')" />
    </div>
</x-confirm>
