<section class="card card-body" id="decide">
    <h2>To decide</h2>
    <x-wrong for="decision" />
    @if ($page->pairs !== [])
        <h3 class="mt-2">One or two? <span class="small text-body-secondary">{{ $page->open() }}</span></h3>
        @foreach ($page->pairs as $pair)@include('intake.pair', ['pair' => $pair])@endforeach
    @endif
    @if ($page->decided() !== [])
        <x-more says="Pairs decided last" class="small border-top py-2">
            @foreach ($page->decided() as $one)
                <x-form :to="route('doubles.destroy', $one['double'])" method="delete"
                    class="hstack py-1">{{ $one['says'] }}
                    <x-button small kind="link" class="ms-auto"
                        aria-label="Undo the decision on {{ $one['name'] }}">Undo</x-button></x-form>
            @endforeach
        </x-more>
    @endif
    @if ($page->isDecided())
        <p class="text-body-tertiary mt-2">Nothing. Records that may be one, and industry labels that could mean several
            things, wait here for a
            decision.</p>
    @elseif ($page->labels() !== [])
        <p class="text-body-tertiary py-2">What do these industry labels mean? The decision holds for all later
            files.</p>
        @if ($page->moreLabels())<p class="small text-body-secondary">{{ $page->moreLabels() }}</p>@endif
        <x-wrong for="code" />
        @foreach ($page->labels() as $one)
            <x-form :to="route('labels.update', $one['label'])" method="patch" class="border-top py-2">
                <p class="breaks"><strong>{{ $one['label']->label }}</strong> <span
                    class="small text-body-secondary">{{ $one['used'] }}</span></p>
                <div class="d-flex gap-2 mt-1">
                    <x-field hidden class="flex-grow-1 min-w-0" :label="'What '.$one['label']->label.' means'"
                        name="code" list="industries" autocomplete="off" placeholder="type a word or an ISIC code"
                        :value="$page->industry($one['label']->suggested)" />
                    <x-button>Decide</x-button></div>
            </x-form>
        @endforeach
        <datalist id="industries">@foreach ($page->industries() as $industry)<option>{{
            $industry }}</option>@endforeach</datalist>
    @endif
</section>
