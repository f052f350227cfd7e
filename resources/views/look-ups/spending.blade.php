<x-section title="This month">
    @foreach ($page->budgets() as $one)
        <div class="py-2 border-bottom"><div class="hstack"><span>{{ $one['who'] }}</span>
            <span class="ms-auto">{{ $one['spent'] }}</span></div>
            @if ($one['share'] !== null)<x-progress :share="$one['share']" class="mt-1" />@endif</div>
    @endforeach
    @can('create', App\Models\Budget::class)
        <x-more says="Set the budgets" class="py-2" :open="$errors->has('credits*')">
            <x-form :to="route('look-ups.budget')" method="put" class="vstack gap-2 mt-2">
                <x-wrong for="credits*" />
                @foreach ($page->limits() as $one)
                    <x-field :label="$one['name']" name="credits[{{ $one['id'] }}]" type="number" min="0"
                        step="any" :value="$one['credits']" />
                @endforeach
                <p class="form-text">Empty: no limit of their own. Without a budget of the team nothing is
                    bought.</p>
                <x-button small>Set them</x-button>
            </x-form>
        </x-more>
    @endcan
</x-section>
<x-section title="Services" about="in the order in which they are asked">
    @forelse ($page->services() as $one)
        <div class="py-2 border-bottom"><div class="hstack gap-2">
            <strong>{{ $one['service']->name }}</strong>
            @if ($one['service']->paused)<span class="badge text-bg-light">paused</span>@endif
            <span class="ms-auto small text-body-secondary">{{ $one['does'] }}</span></div>
            @if ($one['record'] !== '')<p class="small text-body-secondary mb-1">{{
                $one['record'] }}</p>@endif
            @can('update', $one['service'])<div class="hstack gap-2"><a class="small"
                href="{{ route('services.edit', $one['service']) }}"
                aria-label="Change {{ $one['service']->name }}">Change</a>
                <x-form :to="route('services.pause', $one['service'])" method="patch"><button
                    class="btn btn-sm btn-link p-0" aria-label="{{ $one['pauses'].' '
                        .$one['service']->name }}">{{ $one['pauses'] }}</button></x-form></div>@endcan
        </div>
    @empty<x-empty>No service is set. A lead adds one that finds addresses, and one that checks
        them.</x-empty>@endforelse
</x-section>
