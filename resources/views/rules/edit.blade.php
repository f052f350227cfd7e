@use('App\View\Rules\CriterionRow')
@use('App\View\Rules\RoleRow')
<x-layout title="Rules of {{ $page->offer->name }}" at="rules">
    <x-heading title="Rules" :about="$page->about()">
        <x-button small :href="route('angles.index', $page->offer)">Angles</x-button>
        <x-button small :href="route('stories.index', $page->offer)">Stories</x-button>
        @foreach (View::shared('offers', []) as $one)
            <x-button small :href="route('rules.edit', $one)"
                :active="$one->is($page->offer)">{{ $one->name }}</x-button>
        @endforeach
    </x-heading>
    @if ($work = $page->computing())<div id="computing" aria-live="polite" hx-get="{{ route('rules.edit',
        $page->offer) }}" hx-trigger="every 3s" hx-select="#computing" hx-swap="outerHTML"><x-work :$work titled
        class="card card-body mt-3" /></div>@endif
    @if ($page->isOld())<p class="alert alert-danger mt-3">You look at version {{ $page->rules->version }}. Saving makes
        it the newest again, as a
        version of its own. <a href="{{ route('rules.edit', $page->offer) }}">Back to the rules in force</a></p>@endif
    <x-wrong :for="['rules', 'kinds.*']" />
    <x-form :to="route('rules.store', $page->offer)" class="row g-4 mt-0"
        hx-post="{{ route('rules.preview', $page->offer) }}" hx-target="#moves"
        hx-trigger="change delay:250ms, input changed delay:700ms from:find input" hx-sync="this:replace">
        <input type="hidden" name="version" value="{{ $page->builtOn() }}">
        <div class="col-lg-8 vstack gap-4">
            <x-section title="Target profile: whom it serves" x-data="repeat"
                about="“must” and “must not” are gates; “prefer” weighs">
                <div id="criteria" x-ref="rows">@foreach ($page->criteria() as $row)<x-rules.criterion
                    :$row :met="$page->met($row)" />@endforeach</div>
                <template x-ref="one"><x-rules.criterion :row="CriterionRow::blank('NEW')" /></template>
                <x-button class="mt-3" type="button" @click="add">Add a criterion</x-button>
            </x-section>
            <x-section title="Kinds of signal: what counts, and how it ages"><x-rules.kinds
                :kinds="$page->kinds()" /></x-section>
            <x-section title="Points: what each line is worth"
                about="the last three are 0 until results speak for them">
                <div class="row row-cols-2 row-cols-md-3 g-3 mt-0">
                    @foreach ($page->lines() as $line)
                        <div class="col"><x-field small :label="$line['label']" name="points[{{ $line['name'] }}]"
                            type="number" step="any" min="-200" max="200" required :value="$line['value']" /></div>
                    @endforeach
                </div>
            </x-section>
            <x-section title="Buyer roles: who takes part in buying" x-data="repeat">
                <div id="buyer-roles" x-ref="rows">
                    @foreach ($page->buyerRoles() as $row)<x-rules.buyer-role :$row
                        :offer="$page->offer" />@endforeach</div>
                <template x-ref="one"><x-rules.buyer-role :row="new RoleRow('buyer_roles', 'NEW')"
                    :offer="$page->offer" /></template>
                <x-button class="mt-3" type="button" @click="add">Add a buyer role</x-button>
            </x-section>
            <x-section title="Roles of interest: openings, and whom they concern" x-data="repeat">
                <div id="interests" x-ref="rows">@foreach ($page->rolesOfInterest() as $row)<x-rules.interest
                    :$row />@endforeach</div>
                <template x-ref="one"><x-rules.interest :row="new RoleRow('roles_of_interest', 'NEW')" /></template>
                <x-button class="mt-3" type="button" @click="add">Add a role of interest</x-button>
            </x-section>
            @include('rules.outside')
        </div>
        <div class="col-lg-4">@include('rules.saving')</div>
    </x-form>
    @include('rules.offer')
</x-layout>
