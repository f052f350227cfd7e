@use('App\View\UnderWay\Works')
<x-layout :title="$page->feed()->name" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <x-heading :title="$page->feed()->name">
        @can('update', $page->feed())
            <div id="deeds" class="d-flex flex-wrap gap-2">
                @if ($page->feed()->isAsked())
                    @if (! $page->line->isRunning())<x-form :to="route('feeds.run', $page->feed())"><x-button
                        kind="primary">Ask it now</x-button></x-form>@endif
                    @if ($page->feed()->paused || ! $page->line->isRunning())<x-form
                        :to="route('feeds.pause', $page->feed())" method="patch"><x-button>{{ $page->feed()->paused
                            ? 'Go on' : 'Pause' }}</x-button></x-form>@endif
                    <x-button :href="route('feeds.edit', $page->feed())">Change</x-button>
                @endif
                <x-form :to="route('feeds.destroy', $page->feed())" method="delete"><x-button
                    kind="danger">Remove</x-button></x-form>
            </div>
        @endcan
    </x-heading>
    <p class="text-body-tertiary mt-2 breaks">{{ $page->about() }} · {{ $page->feed()->address }}</p>
    <p class="text-body-tertiary">{{ $page->becomes() }}</p>
    @if ($page->feed()->isPosted())<x-feeds.tokens :$page />@endif
    <div id="runs" class="mt-3" aria-live="polite" @if ($page->line->isMoving())
        hx-get="{{ request()->fullUrl() }}" hx-trigger="every 2s" hx-select="#runs" hx-select-oob="#deeds"
        hx-swap="outerHTML" @endif>
        @if ($page->feed()->problem)<p class="alert alert-danger" role="alert">{{ $page->feed()->problem }}</p>@endif
        @if ($page->line->isRunning())<x-work :work="Works::ofFeed($page->line, auth()->user())"
            class="mb-3" />@endif
        <x-section title="Runs" :about="$page->line->state()">
            @if ($page->runs() === [])<x-empty>Nothing came yet. What is asked is asked within a minute.</x-empty>
            @else
                <x-table :heads="['When', '#Came', '#New', '#Changed', '#Same', '#Gone', '#To decide', '#Refused',
                    '#Signals', 'How it went']" :moves="false">
                    @foreach ($page->runs() as $row)
                        <tr><td><x-ago :time="$row['run']->started_at" /></td>
                            @foreach ($row['counts'] as $count)<td class="text-end">{{ $count }}</td>@endforeach
                            <td class="small">{{ $row['says'] }}</td></tr>
                    @endforeach
                </x-table>
            @endif
        </x-section>
        <h2 class="mt-4">What it brought</h2>
    <x-tabs :tabs="$page->tabs()" label="What became of it" />
    @if ($page->items() === [])<x-empty>Nothing yet.</x-empty>
    @else
        <x-table :heads="['What', 'Account', 'What became of it']">
            @foreach ($page->items() as $one)
                <tr data-row data-url="{{ route('items.show', $one->item) }}">
                    <td><a class="fw-semibold text-body breaks"
                        href="{{ route('items.show', $one->item) }}">{{ $one->item->title }}</a><br>
                        <span class="small text-body-secondary breaks">{{ $one->about() }}</span></td>
                    <td>@if ($one->item->account)<a class="breaks"
                        href="{{ route('accounts.show', $one->item->account_id) }}">{{ $one->item->account->name
                        }}</a>@endif</td>
                    <td class="small"><span class="fw-semibold">{{ $one->state() }}</span><br><span
                        class="text-body-tertiary breaks">{{ $one->outcome() }}</span></td></tr>
            @endforeach
        </x-table>
        <x-pager :pages="$page->items" />
    @endif
    </div>
</x-layout>
