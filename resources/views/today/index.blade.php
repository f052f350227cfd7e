@use('App\Support\Format')
<x-layout title="Today" at="today">
    <div class="row g-4" x-data="rows" @keydown.window="press" @htmx:after-swap.window="opened">
        <div class="col-lg-8">
            <x-heading title="Today" :about="Format::weekday(now())">
                @if ($page->narrowed->isPossible())<x-form :to="route('today.narrow')" method="patch"
                    class="d-flex gap-2">
                    <x-narrow small :narrowed="$page->narrowed" /><x-button small>Show</x-button></x-form>@endif
            </x-heading>
            <p class="text-body-tertiary mt-2">{{ $page->lead }}
                @if ($page->isDone)<a href="/accounts">The ranking</a> shows the rest.@endif
                @if ($page->hurry)<strong>{{ $page->hurry }}</strong>@endif</p>
            <div hx-get="{{ route('look-ups.pays') }}" hx-trigger="load" hx-swap="outerHTML"></div>
            @include('today.just-in', ['in' => $page->justIn()])
            <x-wrong :for="['decision', 'until', 'reason', 'kind', 'next_step', 'next_step_on']" />
            @if ($page->newcomers() !== [])<p class="mt-2">New: @foreach ($page->newcomers() as $one)<a
                href="{{ $one['url'] }}">{{ $one['says'] }}</a>@unless ($loop->last) · @endunless @endforeach</p>@endif
            @foreach ($page->steps as $step)
                <p class="card card-body mt-3"><span><strong>Next step due:</strong> {{ $step->next_step }} with
                    {{ $step->contact?->name() ?? $step->account->name }}, <a
                        href="{{ $page->at($step) }}">{{ $step->account->name }}</a></span></p>
            @endforeach
            @forelse ($page->groups as $group => $rows)
                <h2 class="fs-6 text-body-secondary border-bottom mt-3 pb-1">{{ $group }}</h2>
                <div class="list-group list-group-flush">
                    @foreach ($rows as $row)
                        <x-today.row :$row :active="$page->isFocus($row)" />
                    @endforeach
                </div>
            @empty
                @unless ($page->isDone)
                    <x-empty>Nothing to approach yet for {{ $page->offer->name }}. {{ $page->why() }}
                        <a href="/intake">Bring files</a>@can('create', App\Models\RuleSet::class), change
                        <a href="{{ route('rules.edit', $page->offer) }}">the rules</a> or see
                        <a href="/begin">the first steps</a>@endcan.</x-empty>
                @endunless
            @endforelse
            @if ($page->tomorrow !== [])
                <h2 class="fs-6 text-body-secondary border-bottom mt-3 pb-1">Tomorrow begins with</h2>
                @foreach ($page->tomorrow as $row)
                    <p class="px-2 py-1 mb-0"><a href="{{ route('accounts.show', $row->standing->account_id) }}">{{
                        $row->standing->account->name }}</a>: {{ $row->headline() }}</p>
                @endforeach
            @endif
            @if ($page->leftOut !== [])
                <x-more says="Left out today, and which limit held it back" class="mt-3">
                    <ul class="list-unstyled mb-0">
                        @foreach ($page->leftOut as $one)
                            <li class="border-top py-1"><p class="mb-0"><a href="{{ route('accounts.show',
                                $one['account']) }}">{{ $one['name'] }}</a>: {{ $one['why'] }}</p></li>
                        @endforeach
                    </ul>
                </x-more>
            @endif
            @if ($page->done->isNotEmpty())
                <h2 class="fs-6 text-body-secondary border-bottom mt-3 pb-1">Done today</h2>
                @foreach ($page->done as $approach)
                    <p class="px-2 py-1"><a href="{{ $page->at($approach) }}">{{ $approach->account->name }}</a>,
                        {{ $approach->kind->label() }}
                        @if ($approach->contact) to {{ $approach->contact->name() }} @endif
                        <span class="text-body-secondary">·
                            {{ $approach->result?->label() ?? 'no result yet' }}</span></p>
                @endforeach
            @endif
        </div>
        <div class="col-lg-4">
            <div class="offcanvas-lg offcanvas-bottom h-auto sticky-lg-top pt-lg-3" id="focus" tabindex="-1"
                aria-label="The approach in focus"
                aria-live="polite">
                @include('today.focus', ['page' => $page->inFocus])
            </div>
        </div>
    </div>
</x-layout>
