@use('App\View\Say')
<x-layout title="Reasons" at="reasons">
    <div class="spread"><h1>Reasons</h1>
        <form method="get" role="search" class="buttons"><input type="hidden" name="state" value="{{ $state }}"><label class="visually-hidden" for="q">Words or account</label><input id="q" type="search" name="q" value="{{ $search }}" placeholder="Words or account"><button class="button">Search</button></form></div>
    <nav class="tabs gap" aria-label="States">
        @foreach (['ready' => 'Ready', 'used' => 'Used', 'expired' => 'Expired'] as $key => $name)<a href="{{ route('reasons.index', ['state' => $key] + array_filter(['q' => $search])) }}" @if ($state === $key) aria-current="page" @endif>{{ $name }} <span class="n">{{ $counts[$key] }}</span></a>@endforeach
    </nav>
    @forelse ($reasons as $reason)
        <div class="row" style="grid-template-columns: minmax(0, 1fr) 200px" data-row data-url="{{ route('reasons.show', $reason) }}">
            <div><a class="what" href="{{ route('reasons.show', $reason) }}">{{ $reason->account->name }}@if ($reason->contact), {{ $reason->contact->name() }}@endif</a>
                <p class="soft">{{ \Illuminate\Support\Str::limit($reason->words, 170) }}</p></div>
            <div class="small muted number">{{ $reason->user->name }}<br>
                @if ($state === 'used')
                    @foreach ($reason->approaches->take(1) as $last){{ $last->kind->label() }}, <x-ago :time="$last->made_at" /><br><strong>{{ $last->result?->label() ?? 'no result yet' }}</strong>@endforeach
                @elseif ($state === 'expired')expired <x-ago :time="$reason->expires_on" />
                @else good until {{ $reason->expires_on->subDay()->isoFormat('D MMMM') }}@endif</div>
        </div>
    @empty
        <p class="empty">@if ($search !== '') No reason here has “{{ $search }}” in it. @elseif ($state === 'ready') No reason is ready. On <a href="/">Today</a> or on an account, press R to record one. @elseif ($state === 'used') No reason was used yet. @else None has expired. @endif</p>
    @endforelse
    <x-pager :pages="$reasons" />
</x-layout>
