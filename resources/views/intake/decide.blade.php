<section class="card card-body" id="decide">
    <h2>To decide</h2>
    <x-wrong for="decision" />
    @if ($page->mentions->isNotEmpty())
        <h3 class="mt-2">Is it about them?</h3>
        @foreach ($page->mentions as $mention)
            <div class="border-top py-2">
                <p class="breaks"><a class="fw-semibold" href="{{ route('items.show', $mention->feed_item_id) }}">{{
                    $mention->item->title }}</a><br><span class="small text-body-secondary">{{
                    $mention->item->feed->name }}: about <a href="{{ route('accounts.show', $mention->account_id) }}">{{
                    $mention->account->name }}</a>?</span></p>
                <p class="small text-body-tertiary breaks">{{ $mention->because }}</p>
                <x-feeds.decide :mention="$mention" />
            </div>
        @endforeach
    @endif
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
        @foreach ($page->labels() as $one)@include('intake.label')@endforeach
    @endif
    @if ($page->decidedLabels() !== [])
        <x-more says="Labels decided last" class="small border-top py-2">
            @foreach ($page->decidedLabels() as $one)@include('intake.label')@endforeach
        </x-more>
    @endif
    @if ($page->labels() !== [] || $page->decidedLabels() !== [])
        <datalist id="industries">@foreach ($page->industries() as $industry)<option>{{
            $industry }}</option>@endforeach</datalist>
    @endif
</section>
