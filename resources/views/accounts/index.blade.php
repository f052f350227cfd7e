@use('App\View\Say')
@use('App\Standings\StandingState')
@php $ranked = $ranking->state === StandingState::Ranked; @endphp
<x-layout title="Accounts" at="accounts">
    <div class="spread">
        <div class="line"><h1>Accounts</h1><span class="muted">{{ $offer->name }}</span></div>
        <form method="get" action="{{ route('accounts.index') }}" class="buttons" role="search">
            @foreach (['tab' => $ranking->state->value, 'sort' => $ranking->sort] as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
            @if ($picture)<input type="hidden" name="view" value="picture">@endif
            <label class="visually-hidden" for="q">Name or domain</label>
            <input id="q" type="search" name="q" value="{{ $ranking->search }}" placeholder="Name or domain">
            <button class="button">Search</button>
            @if ($ranked)<a class="button" href="{{ route('accounts.index', $ranking->parameters() + ($picture ? [] : ['view' => 'picture'])) }}">{{ $picture ? 'As a list' : 'As a picture' }}</a>@endif
        </form>
    </div>
    <nav class="tabs gap" aria-label="States">
        @foreach (StandingState::cases() as $state)
            <a href="{{ route('accounts.index', ['tab' => $state->value] + array_filter(['q' => $ranking->search])) }}" @if ($state === $ranking->state) aria-current="page" @endif>{{ $state->label() }} <span class="n">{{ number_format($counts[$state->value] ?? 0) }}</span></a>
        @endforeach
    </nav>
    @if ($picture)
        <div class="gap" style="display: grid; grid-template-columns: minmax(0, 1fr) 240px; gap: 20px">
            <div><canvas class="picture" data-url="{{ route('accounts.picture', $ranking->parameters()) }}" role="img" aria-label="Ranked accounts, fit across and timing upwards; the larger the dot, the better they are reached. The list shows the same accounts."></canvas><p class="muted small above" id="picture-of"></p></div>
            <div><p class="soft" id="chosen-count" aria-live="polite"></p><ul class="plain" id="chosen"></ul></div>
        </div>
    @elseif ($standings->isEmpty())
        <p class="empty">
            @if ($ranking->search !== '') Nothing here is called “{{ $ranking->search }}”. Other tabs may hold it.
            @elseif ($ranked) No account has a live signal that counts for it. <a href="/intake">Bring signals</a>, or look at the waiting ones.
            @else None. @endif
        </p>
    @else
        <div class="scroll">
        <table>
            <thead><tr>
                @foreach (['priority' => $ranked ? 'Priority' : 'Points', 'name' => 'Account', '' => $ranked || $ranking->state === StandingState::Waiting ? 'Why now' : 'Why', 'fit' => 'Fit', 'timing' => 'Timing', 'access' => 'Access', 'act_by' => 'Act by', '-owner' => 'Owner', '-last' => 'Last approach', 'moved' => 'In a week'] as $sort => $name)
                    @if (! $ranked && in_array($sort, ['act_by', 'moved'], true)) @continue @endif
                    <th @class(['number' => in_array($sort, ['fit', 'timing', 'access', 'moved', 'priority'], true)]) scope="col" @if ($sort === $ranking->sort) aria-sort="{{ in_array($sort, ['name', 'act_by'], true) ? 'ascending' : 'descending' }}" @endif>
                        @if ($sort !== '' && $sort[0] !== '-')<a href="{{ route('accounts.index', ['sort' => $sort] + $ranking->parameters()) }}">{{ $name }}@if ($sort === $ranking->sort) {{ in_array($sort, ['name', 'act_by'], true) ? '↑' : '↓' }}@endif</a>@else{{ $name }}@endif
                    </th>
                @endforeach
            </tr></thead>
            <tbody>
            @foreach ($standings as $standing)
                @php
                    $account = $standing->account;
                    $place = $account->headquarters();
                    $url = route('accounts.show', [$account] + $ranking->parameters());
                @endphp
                <tr data-row data-url="{{ $url }}" data-reason="{{ route('reasons.create', $account) }}" data-account="{{ $account->id }}">
                    <td class="number"><span class="figure large">{{ $standing->priority !== null ? round($standing->priority) : Say::points($standing->points) }}</span></td>
                    <td><a href="{{ $url }}" class="strong">{{ $account->name }}</a><br><span class="muted small">{{ collect([$place?->city, $account->headcount ? ($account->headcount_given ?? number_format($account->headcount)).' heads' : 'heads unknown'])->filter()->implode(' · ') }}</span></td>
                    <td style="max-width: 330px">
                        @if ($standing->cause)<span class="soft">{{ ucfirst($standing->cause) }}</span>@if ($standing->isDragged())<br>@endif @endif
                        @if ($ranked || $standing->isDragged())
                            <div class="barbs" style="margin: 0">@foreach (array_slice($lines[$standing->account_id], 0, 2) as $line)<x-barb :line="$line" />@endforeach @if (count($lines[$standing->account_id]) > 2)<span class="muted small">and {{ count($lines[$standing->account_id]) - 2 }} more</span>@endif</div>
                        @elseif (! $standing->cause)<span class="muted">no live signal</span> <a class="small" href="{{ route('reasons.create', $account) }}">start from facts</a>@endif
                    </td>
                    <td class="number" @if ($standing->coverage < 1) title="Between {{ Say::part($standing->fit_low) }} and {{ Say::part($standing->fit_high) }}: {{ Say::percent(1 - $standing->coverage) }} of the weight is unknown" @endif>{{ Say::part($standing->fit) }}@if ($standing->coverage < 1)<span class="muted">?</span>@endif</td>
                    <td class="number">{{ Say::part($standing->timing()) }}</td>
                    <td class="number">{{ Say::part($standing->access) }}</td>
                    @if ($ranked)<td class="small">{{ Say::hurry($standing->act_by) }}</td>@endif
                    <td class="small">{{ $account->owner?->name ? strtok($account->owner->name, ' ') : '' }}</td>
                    <td class="small">@if ($account->approaches_max_made_at)<x-ago :time="\Carbon\CarbonImmutable::parse($account->approaches_max_made_at)" />@endif</td>
                    @if ($ranked)<td class="number small nowrap">@if ($standing->moved === null)<span class="pine strong">new</span>@elseif (abs($standing->moved) < .5)<span class="muted">same</span>@else{{ $standing->moved > 0 ? '+' : '−' }}{{ round(abs($standing->moved)) }}@endif</td>@endif
                </tr>
            @endforeach
            </tbody>
        </table>
        </div>
        <x-pager :pages="$standings" />
    @endif
</x-layout>
