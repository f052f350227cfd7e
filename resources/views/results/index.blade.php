<x-layout title="Results" at="results">
    <x-heading title="Results" about="what brings answers, interested or a meeting" />
    <x-tabs :tabs="$page->tabs()" label="Over which time" />
    @if ($page->isEmpty())<x-empty>No approach has a result yet. Record what came of one on its reason or its account;
        what brings answers stands here from the first on.</x-empty>
    @else
        <div class="row g-4 mt-0">
            <div class="col-lg-7 vstack gap-4">
                <section><x-results.rate :rate="$page->whole()" />
                    @if ($page->change())<p class="text-body-tertiary mt-2 mb-0">{{ $page->change()
                        }}</p>@endif</section>
                @foreach ($page->groups() as $by => $rates)
                    <x-section :title="$by">
                        @foreach ($rates as $rate)<x-results.rate :$rate />@endforeach
                    </x-section>
                @endforeach
                <p class="small text-body-secondary">Each line reaches as far as the share may be, at 95 %; the dashed
                    one is one in twenty, a usual mark. Whom nobody contacted has no result.</p>
            </div>
            <div class="col-lg-5 vstack gap-4">
                <x-section title="How well the ranking told it" about="pairs within two weeks">
                    @foreach ($page->lookingBack() as $one)
                        <div class="border-bottom py-2">
                            <div class="hstack gap-2 align-items-baseline"><span>{{ $one['name'] }}</span><span
                                class="ms-auto font-figure fs-5 fw-semibold">{{ $one['concordance'] }}</span></div>
                            <p class="small text-body-secondary mb-1">{{ $one['says'] }}</p>
                            <p class="small mb-0">Answers in each fifth, the best ranked first: {{ $one['fifths'] }}</p>
                        </div>
                    @endforeach
                    <p class="form-text">In how many pairs of one who answered and one who did not the one who answered
                        stood higher; a half tells nothing.</p>
                </x-section>
                <x-section title="What results speak for">
                    <p class="mt-2">{{ $page->says() }}</p>
                    <x-button small :href="route('lessons.show')">Look at each line</x-button>
                </x-section>
            </div>
        </div>
    @endif
</x-layout>
