@use('App\View\UnderWay\Works')
<x-layout :title="$page->intake->name" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1 class="breaks">{{ $page->intake->name }}</h1>
    <div id="progress" class="vstack gap-3 mt-3" @if ($page->isMoving())
        hx-get="{{ route('intake.show', $page->intake) }}" hx-trigger="every 1s"
        hx-select="#progress" hx-swap="outerHTML" @endif>
        @if ($page->says())<p class="alert alert-{{ $page->isFailure() ? 'danger' : 'primary' }}" role="alert">{{
            $page->says() }}</p>@endif
        <x-work :work="Works::ofIntake($page->intake, auth()->user())" />
        <x-tally :tally="$page->tally()" />
        <div class="d-flex flex-wrap gap-2">
            @if ($page->isDone() && $page->next)<x-button kind="primary"
                :href="route('intake.show', $page->next)">Next: {{ $page->next->name }}</x-button>@endif
            @if ($page->isDone())<x-button :kind="$page->next ? 'plain' : 'primary'"
                :href="route('accounts.index')">See the ranking</x-button>@endif
            @can('update', $page->intake)
                @foreach ($page->settles() as $how => $says)<x-form
                    :to="route('intake.settle', $page->intake)"><x-button name="how"
                    :value="$how">{{ $says }}</x-button></x-form>@endforeach
            @endcan
            @if ($page->isAnyOut())<x-button :href="route('intake.rejected', $page->intake)">Download what did not
                come in</x-button>@endif
            @if ($page->unread() !== [])<x-button :href="route('intake.unread', $page->intake)">Download the cells left
                empty</x-button>@endif
            @can('undo', $page->intake)
                @if ($page->isDone() || $page->isStopped())<x-button kind="danger" opens="undo">Undo the whole
                    file</x-button>@endif
            @endcan
        </div>
        @foreach ($page->out() as $part)
            <x-section :title="$part['title']">
                <x-table :heads="['#Line', 'Why', 'Row']" :moves="false">
                    @foreach ($part['rows'] as $row)
                        <tr><td class="text-end">{{ $row['line'] }}</td><td>{{ $row['why'] }}</td>
                            <td class="small text-body-secondary breaks">{{ $row['row'] }}</td></tr>
                    @endforeach
                </x-table>
                @if ($part['more'])<p class="text-body-secondary mt-2">{{ $part['more'] }}</p>@endif
            </x-section>
        @endforeach
        @if ($page->unread() !== [])
            <x-section title="Cells that could not be read, left empty">
                <x-table :heads="['#Line', 'Column', 'What is written there']" :moves="false">
                    @foreach ($page->unread() as $cell)
                        <tr><td class="text-end">{{ $cell['line'] }}</td><td>{{ $cell['heading'] }}</td>
                            <td class="breaks">{{ $cell['written'] }}</td></tr>
                    @endforeach
                </x-table>
                @if ($page->moreUnread())<p class="text-body-secondary mt-2">{{ $page->moreUnread() }}</p>@endif
            </x-section>
        @endif
    </div>
    <x-confirm id="undo" title="Undo {{ $page->intake->name }}?" :to="route('intake.undo', $page->intake)"
        does="Undo it">
        <p class="text-body-tertiary">{{ $page->undoes() }}</p>
    </x-confirm>
</x-layout>
