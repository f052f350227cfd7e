@use('App\View\Say')
@use('App\Models\ApproachKind')
@use('App\Models\Result')
@use('Luftig\Core\Signal\Kind')
@php $evidence = $reason->evidence; $used = $reason->approaches->isNotEmpty(); @endphp
<x-layout :title="'Reason for '.$reason->account->name" at="reasons">
    <p class="back"><a href="{{ route('reasons.index', ['state' => $used ? 'used' : ($reason->isExpired() ? 'expired' : 'ready')]) }}" data-back>← Reasons</a></p>
    <div class="two">
        <div class="stack">
            <h1><a href="{{ route('accounts.show', $reason->account_id) }}">{{ $evidence['account']['name'] }}</a></h1>
            <p class="soft">{{ $evidence['contact'] ? $evidence['contact']['name'].($evidence['contact']['title'] ? ', '.$evidence['contact']['title'] : '') : 'nobody in particular' }}@if ($reason->channel) · by {{ ApproachKind::from($reason->channel)->label() }}@endif · {{ $reason->user->name }}, <x-ago :time="$reason->created_at" /></p>
            <p class="card" style="white-space: pre-line; font-size: 16px; line-height: 1.55">{{ $reason->words }}</p>
            <p>@if ($used) Used. @elseif ($reason->isExpired()) <strong class="rowan">Expired on {{ $reason->expires_on->isoFormat('D MMMM') }}</strong>: what it rests on is no longer fresh, or the act-by day has come. <a class="inline underlined" href="{{ route('reasons.create', $reason->account_id) }}">Look for a newer one</a> @else Good until {{ $reason->expires_on->subDay()->isoFormat('dddd D MMMM') }}. @endif</p>
            @foreach ($reason->approaches as $approach)
                <section class="quiet stack">
                    <div class="spread"><strong>{{ ucfirst($approach->kind->label()) }}, <x-ago :time="$approach->made_at" />, {{ $approach->user?->name }}</strong>@can('update', $approach)@if ($approach->result === null)<form method="post" action="{{ route('approaches.destroy', $approach) }}">@csrf @method('DELETE')<button class="button slight">Take it back</button></form>@endif @endcan</div>
                    @if ($approach->next_step)<p>Next step: {{ $approach->next_step }}@if ($approach->next_step_on), {{ $approach->next_step_on->isoFormat('dddd D MMMM') }}@endif</p>@endif
                    @if ($approach->result)<p>Result: <strong>{{ $approach->result->label() }}</strong>@if ($approach->later_on), {{ $approach->later_on->isoFormat('D MMMM') }}@endif @if ($approach->instead), rather {{ $approach->instead }}@endif <span class="muted"><x-ago :time="$approach->result_at" /></span></p>@endif
                    @can('update', $approach)
                        <form method="post" action="{{ route('approaches.update', $approach) }}" class="buttons">@csrf @method('PATCH')
                            <label class="visually-hidden" for="result-{{ $approach->id }}">Result</label>
                            <select id="result-{{ $approach->id }}" name="result"><option value="">what came of it …</option>@foreach (Result::cases() as $result)<option value="{{ $result->value }}" @selected(old('result', $approach->result?->value) === $result->value)>{{ $result->label() }}</option>@endforeach</select>
                            <label>later: <input type="date" name="later_on" value="{{ old('later_on', $approach->later_on?->toDateString()) }}" min="{{ today()->addDay()->toDateString() }}"></label>
                            <label>who instead: <input name="instead" value="{{ old('instead', $approach->instead) }}" maxlength="190" size="14"></label>
                            <button class="button">Record the result</button></form>
                        <x-wrong :for="['result', 'later_on', 'instead']" />
                    @endcan
                </section>
            @endforeach
            @if (! $used && ! $reason->isExpired())
                <form method="post" action="{{ route('approaches.store', $reason) }}" class="stack">@csrf
                    <h2>Approached them?</h2>
                    <div class="grid">
                        <label class="field"><span>How</span><select name="kind">@foreach (ApproachKind::cases() as $kind)<option value="{{ $kind->value }}" @selected(old('kind', $reason->channel ?? 'email') === $kind->value)>{{ $kind->label() }}</option>@endforeach</select></label>
                        <label class="field"><span>Next step, if any</span><input name="next_step" value="{{ old('next_step') }}" maxlength="190"></label>
                        <label class="field"><span>On</span><input type="date" name="next_step_on" value="{{ old('next_step_on') }}" min="{{ today()->toDateString() }}"></label>
                    </div>
                    <x-wrong :for="['kind', 'next_step', 'next_step_on']" />
                    <button class="button primary">Record the approach</button></form>
            @endif
            @can('delete', $reason)@unless ($used)<form method="post" action="{{ route('reasons.destroy', $reason) }}">@csrf @method('DELETE')<button class="button danger">Take the reason back</button></form>@endunless @endcan
        </div>
        <div class="card aside">
            <h2>The evidence as it was</h2>
            <p class="muted small around">{{ $reason->created_at->isoFormat('D MMMM YYYY') }}@if ($evidence['standing']['priority']): priority {{ round($evidence['standing']['priority']) }}, @endif Fit {{ Say::part($evidence['standing']['fit']) }}, Access {{ Say::part($evidence['standing']['access']) }}</p>
            @foreach ($evidence['signals'] as $signal)
                @php $at = \Carbon\CarbonImmutable::parse($signal['occurred_at']); @endphp
                <div class="ruled">
                    <strong>{{ $signal['title'] }}</strong>
                    <p class="small muted">{{ Kind::from($signal['kind'])->label() }} · {{ $at->isoFormat('D MMMM YYYY') }}@if ($signal['source']) · {{ $signal['source'] }}@endif @if ($signal['link']) · <a class="underlined" href="{{ $signal['link'] }}" rel="noreferrer noopener" target="_blank">source page</a>@endif · freshness {{ Say::part($signal['freshness']) }}, fresh until {{ \Carbon\CarbonImmutable::parse($signal['fresh_until'])->subDay()->isoFormat('D MMM') }}</p>
                    @if ($signal['quote'])<blockquote>{{ $signal['quote'] }}</blockquote>@endif
                </div>
            @endforeach
            @foreach ($evidence['facts'] as $fact)<p class="ruled">{{ ucfirst($fact) }}</p>@endforeach
        </div>
    </div>
</x-layout>
