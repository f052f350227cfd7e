<x-form :to="route('begin.buys')" class="card card-body vstack gap-3 align-items-start measure">
    <h2>Who takes part in buying</h2>
    <x-field class="w-100" label="As is usual in" name="trade" :options="$page->trades()"
        :value="old('trade', $page->starter?->trade)" hx-get="{{ route('begin', ['step' => 3]) }}" hx-trigger="change"
        hx-target="#step" hx-select="#step" hx-swap="outerHTML" hx-include="this" />
    <fieldset class="vstack gap-2"><legend class="form-label fs-6">Roles</legend>
        @foreach ($page->roles() as $role)
            <x-tick name="roles[]" :value="$role['name']" :checked="$role['isChosen']">{{ $role['name'] }}
                <span class="text-body-secondary">{{ $role['does'] }}</span></x-tick>
        @endforeach
        <x-wrong for="roles" />
    </fieldset>
    @if ($page->kinds() !== [])<p class="text-body-tertiary">There, {{ implode(', ', $page->kinds()) }}.</p>@endif
    <p class="text-body-tertiary">Titles, weights and kinds are changed under Rules, with what they would move.</p>
    <x-button kind="primary">Next: bring files</x-button>
</x-form>
