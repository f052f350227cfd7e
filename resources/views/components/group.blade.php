<section id="group" x-data="group" @keydown="press" @pointerenter="ready" aria-label="Buying group"
    data-url="{{ url('/accounts/'.$account->id.'/group') }}">
    <div class="card card-body">
        <h2>Whom to contact now</h2>
        @if ($group->pressure)<p class="alert alert-danger small mt-2" role="note">{{ $group->pressure }}</p>@endif
        @forelse ($group->chosen as $row)
            <x-group.chosen :$row :$account />
        @empty
            <p class="text-body-tertiary py-2">{{ $parts->isEmpty() ? 'Nobody is known here yet.'
                : 'Nobody just now; why not stands beside each below.' }}</p>
        @endforelse
        <p class="small text-body-secondary mt-2">{{ $parts->limits() }}</p>
    </div>
    <div class="d-flex flex-wrap justify-content-between align-items-baseline column-gap-3 border-bottom pb-2 mt-4">
        <h2>Buying group</h2>
        <span class="small text-body-secondary">drag a person, or <kbd>Shift</kbd> <kbd>↑</kbd> <kbd>↓</kbd></span>
    </div>
    @foreach ($group->gaps as $gap)<p class="small text-danger mt-1" data-gap>{{ $gap }}</p>@endforeach
    @foreach ($parts->rows() as $one)
        <div class="part-row">
            <h3>{{ $one['part']->label() }}</h3>
            <div data-part="{{ $one['part']->value }}">
                @forelse ($one['shown'] as $row)
                    <x-group.person :$row :$names :moved="$parts->isMoved($row)" />
                @empty
                    <p class="small text-body-secondary py-2">{{ $one['nobody'] }}</p>
                @endforelse
                @if ($one['folded'] !== [])
                    <x-more :says="count($one['folded']).' more'" class="small">
                        @foreach ($one['folded'] as $row)<x-group.person :$row :$names
                            :moved="$parts->isMoved($row)" />@endforeach
                    </x-more>
                @endif
            </div>
        </div>
    @endforeach
    @if ($group->others !== [])
        <x-more :says="$parts->others()" class="pt-2">
            <div data-part="out">
                @foreach ($group->others as $row)<x-group.person :$row :$names
                    :moved="$parts->isMoved($row)" />@endforeach
            </div>
        </x-more>
    @endif
    <p class="small text-body-secondary pt-2"><a href="{{ $parts->all($account) }}">@if ($group->unseen > 0){{
        App\Support\Format::count($group->unseen, 'more person', 'more people') }}@else All of them in the
            Finder @endif</a></p>
    <datalist id="people-of-group">@foreach ($names as $name)<option>{{ $name }}</option>@endforeach</datalist>
    <div class="d-flex flex-wrap gap-2 mt-3"><x-button opens="new-person">Add a person</x-button>
        @unless ($parts->isEmpty())<x-button opens="collect-people">Add people to a list</x-button>@endunless</div>
</section>
