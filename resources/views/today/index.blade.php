@use('App\View\Today\Plan')
@use('App\View\Say')
<x-layout title="Today" at="today">
    <div class="two">
        <div>
            <div class="line"><h1>Today</h1><span class="muted">{{ now()->isoFormat('dddd D MMMM') }}</span></div>
            <p class="soft above">
                @if ($left === 0)
                    Done for today: {{ $used }} of {{ $pace }} approaches made. Tomorrow begins with {{ $tomorrow }}; <a href="/accounts">the ranking</a> shows the rest.
                @else
                    {{ $left }} {{ $left === 1 ? 'approach' : 'approaches' }} left in your pace.
                    @if (isset($groups['hours'])) <strong>{{ count($groups['hours']) === 1 ? 'One has' : count($groups['hours']).' have' }} only hours.</strong> @endif
                @endif
            </p>
            @foreach ($steps as $step)
                <p class="quiet gap"><strong>Next step due:</strong> {{ $step->next_step }} with {{ $step->contact?->name() ?? $step->account->name }}, <a href="{{ $step->reason_id ? route('reasons.show', $step->reason_id) : route('accounts.show', $step->account_id) }}">{{ $step->account->name }}</a></p>
            @endforeach
            @forelse ($groups as $key => $rows)
                <h2 class="group">{{ Plan::GROUPS[$key] }}</h2>
                @foreach ($rows as $row)
                    @include('today.row', ['row' => $row, 'focused' => $focus?->standing->account_id === $row->standing->account_id])
                @endforeach
            @empty
                @if ($left > 0)
                    <p class="empty">Nothing to approach yet for {{ $offer->name }}. <a href="/intake">Bring a file of accounts</a>, then one of signals; what speaks for whom appears here within a minute.</p>
                @endif
            @endforelse
            @if ($done->isNotEmpty())
                <h2 class="group">Done today</h2>
                @foreach ($done as $approach)
                    <p style="padding: 6px 10px"><a href="{{ $approach->reason_id ? route('reasons.show', $approach->reason_id) : route('accounts.show', $approach->account_id) }}">{{ $approach->account->name }}</a>, {{ $approach->kind->label() }} @if ($approach->contact) to {{ $approach->contact->name() }} @endif <span class="muted">· {{ $approach->result?->label() ?? 'no result yet' }}</span></p>
                @endforeach
            @endif
        </div>
        <div class="aside" id="focus" aria-live="polite">
            @include('today.focus')
        </div>
    </div>
</x-layout>
