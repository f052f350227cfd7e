@use('App\View\UnderWay\Works')
<x-layout :title="$page->run->name" at="look-ups">
    <x-back :to="route('look-ups')">Look-ups</x-back>
    <h1 class="breaks">{{ $page->run->name }}</h1>
    <div id="progress" class="vstack gap-3 mt-3" @if ($page->isMoving())
        hx-get="{{ route('look-ups.run', $page->run) }}" hx-trigger="every 1s" hx-select="#progress" hx-swap="outerHTML"
        @endif>
        @if ($page->run->problem)<p class="alert alert-primary mb-0" role="alert">{{ $page->run->problem }}</p>@endif
        <x-work :work="Works::ofRun($page, auth()->user())" />
        <x-tally :tally="$page->tally()" />
        @if ($page->run->list_id)<div><x-button :href="route('lists.show', $page->run->list_id)">The
            list</x-button></div>@endif
        @if ($figures = $page->figures())
            <x-table :heads="['Of whom', 'What came', 'Who was asked']" :moves="false">
                @foreach ($figures as $row)
                    <tr><td><a class="fw-semibold text-body" href="{{ route('accounts.show',
                        $row['account']) }}">{{ $row['account']->name }}</a><br><span
                        class="small text-body-secondary">{{ $row['figure'] }}</span></td>
                        @include('look-ups.came')</tr>
                @endforeach
            </x-table>
        @endif
        @if ($page->people->isNotEmpty())
        <x-table :heads="['Whom', 'What came', 'Who was asked']" :moves="false">
            @foreach ($page->rows() as $row)
                <tr><td><a class="fw-semibold text-body" href="{{ route('contacts.show',
                    $row['contact']) }}">{{ $row['contact']->name() }}</a><br><span
                    class="small text-body-secondary">{{ $row['contact']->account->name }}</span></td>
                    @include('look-ups.came')
                </tr>
            @endforeach
        </x-table>
        @endif
    </div>
    <x-pager :pages="$page->people" />
</x-layout>
