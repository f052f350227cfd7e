@use('App\View\Lists\AlertsPage')
<x-layout title="My alerts" at="alerts">
    <x-heading title="My alerts" about="New signals are told once, as soon as they are ranked" />
    @forelse ($page->alerts as $alert)
        <div class="hstack gap-3 border-bottom py-2"><p class="mb-0 breaks">{{ ucfirst(AlertsPage::says($alert)) }}
            @if ($page->offer($alert))<span class="text-body-secondary">· {{ $page->offer($alert) }}</span>@endif</p>
            <x-form :to="route('alerts.destroy', $alert)" method="delete" class="ms-auto"><x-button
                small>Remove</x-button></x-form></div>
    @empty<x-empty>You are told of nothing yet. Begin below, or with “Alert me” on an account or a list.</x-empty>
    @endforelse
    <div class="row g-4 mt-1">
        <div class="col-lg-7">
            <h2 class="fs-5">Another alert</h2>
            <x-form :to="route('alerts.store')" class="vstack gap-3 mt-2">
                <x-field label="Of" name="about" :options="$page->abouts()" :value="old('about')" />
                @if ($page->lists() !== [])<x-field label="If of a list, which" name="list_id"
                    :options="['' => '–'] + $page->lists()" :value="old('list_id')" />@endif
                <fieldset><legend class="form-label fs-6">Which kinds; none ticked: all that count</legend>
                    <x-ticks inline name="kinds[]" :options="$page->kinds()" :chosen="(array) old('kinds', [])" />
                </fieldset>
                <fieldset><legend class="form-label fs-6">How</legend>
                    <x-ticks inline name="ways[]" :options="array_map(ucfirst(...), AlertsPage::WAYS)"
                        :chosen="(array) old('ways', ['on_today'])" />
                </fieldset>
                <x-wrong :for="['kinds', 'ways', 'account_id']" />
                <x-button kind="primary" class="align-self-start">Tell me</x-button>
            </x-form>
        </div>
        <div class="col-lg-5 vstack gap-4">
            <x-form :to="route('alerts.digest')" method="patch" class="vstack gap-2">
                <h2 class="fs-5">By mail</h2>
                <p class="text-body-tertiary mb-0">One digest on each working day on which there is something.</p>
                <div class="row g-3"><x-field width="col-4" label="At the hour" name="digest_hour" type="number" min="0"
                    max="23" :value="old('digest_hour', $page->user->digest_hour)" />
                <x-field width="col-8" label="Time zone" name="time_zone"
                    :value="old('time_zone', $page->user->time_zone)" /></div>
                <x-button class="align-self-start">Keep</x-button>
            </x-form>
            <div class="vstack gap-2">
                <h2 class="fs-5">In a feed</h2>
                @if (session('address'))<p class="card card-body breaks"><span>Whoever has this address reads your
                    alerts. It is shown this once:</span><code>{{ session('address') }}</code></p>@endif
                <p class="text-body-tertiary mb-0">An Atom feed that any reader can follow, at an address of your own.
                    @if ($page->madeAt())It was made {{ $page->madeAt() }}; another one ends it.@endif</p>
                <div class="hstack gap-2"><x-form :to="route('alerts.address')"><x-button>{{ $page->madeAt()
                    ? 'Another address' : 'Make my address' }}</x-button></x-form>
                @if ($page->madeAt())<x-form :to="route('alerts.end-address')" method="delete"><x-button>End
                    it</x-button></x-form>@endif</div>
            </div>
        </div>
    </div>
    @if ($page->told->isNotEmpty())
        <h2 class="fs-5 mt-4">Told lately</h2>
        @foreach ($page->told as $one)
            <p class="mb-1 breaks"><a href="{{ route('accounts.show', $one->signal->account_id) }}">{{
                $one->signal->account->name }}</a> <a class="text-body" href="{{ route('signals.show', $one->signal)
                }}">{{ $one->signal->title }}</a>
                <span class="small text-body-secondary">· <x-ago :time="$one->told_at" /></span></p>
        @endforeach
    @endif
</x-layout>
