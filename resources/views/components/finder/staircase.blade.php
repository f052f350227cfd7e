@props(['page'])
<div class="d-flex gap-2 align-items-start mt-3">
<div class="overflow-x-auto">
    <ol class="staircase" aria-label="The steps of the search" x-data="order" @pointerenter="ready"
        data-address="{{ route('finder', ['on' => $page->search->subject->value]) }}">
        <li class="stair">
            <div class="well"><div class="column"><svg width="100%" height="{{ $page->height() }}"
                aria-hidden="true"></svg>
                <span class="figure">{{ App\Support\Format::number($page->everybody) }}</span></div></div>
            <div class="under"><span class="small text-body-secondary">all
                {{ $page->search->subject->value }}</span></div>
        </li>
        @foreach ($page->stairs() as $stair)
            <li @class(['stair', 'last' => $stair->isLast, 'off' => $stair->step()->isOff()])
                data-one="{{ json_encode($stair->step()->given) }}">
                <div class="well"><div class="column"><svg width="100%" height="{{ $stair->height }}"
                    aria-hidden="true"></svg>
                    <span class="figure">{{ $stair->number }}</span></div></div>
                <div class="under">
                    <span class="small text-body-secondary">{{ $stair->label() }}</span>
                    <span class="says" title="{{ $stair->step()->says() }}">{{ $stair->step()->says() }}</span>
                    <x-finder.step-menu :$stair :$page />
                </div>
                <p class="small text-body-secondary px-2 pt-1"><span
                    @class(['text-danger' => $stair->mistake])>{{ $stair->costs() }}</span>
                    @if ($stair->unknown())· <a href="{{ $stair->otherUnknown() }}"
                        title="{{ $stair->unknownTitle() }}">{{ $stair->unknown() }}</a>@endif</p>
            </li>
        @endforeach
    </ol>
</div>
@unless ($page->isFull())<x-finder.adder :$page />@endunless
</div>
