@use('App\View\Say')
@use('Luftig\Core\Priority\Points')
@php $sum = Points::of($standing->fit, $standing->push, $standing->access); @endphp
<div class="points">
    <div class="point"><div class="flat"><span>Every account starts at</span><span>{{ Say::points(Points::START) }}</span></div></div>
    <details class="point"><summary><span>{{ $standing->fit >= .7 ? 'Fits well' : ($standing->fit >= .4 ? 'Fits in part' : 'Fits little') }}@if ($standing->coverage < 1) <span class="muted small">{{ Say::percent($standing->coverage) }} known</span>@endif</span><span class="strong">{{ Say::points($sum->fit) }}</span></summary>
        <div class="made">
            <p>{{ (int) Points::FIT }} × Fit {{ Say::part($standing->fit) }}@if ($standing->fit_high - $standing->fit_low > .005). What is unknown counts half; known, the Fit would lie between {{ Say::part($standing->fit_low) }} and {{ Say::part($standing->fit_high) }}@endif.</p>
            <dl class="above">
                @foreach ($criteria as $i => $criterion)
                    @php $m = $standing->criteria[$i] ?? null; @endphp
                    <dt>{{ $criterion['name'] }} <span class="small">{{ ['must' => 'gate', 'must_not' => 'gate, must not', 'prefer' => 'weight '.($criterion['weight'] ?? 1)][$criterion['mode']] }}</span></dt>
                    <dd>@if ($m === null)<span class="muted">unknown</span>@elseif ($criterion['mode'] === 'prefer'){{ Say::part($m) }}@else{{ ($m > 0) === ($criterion['mode'] === 'must') ? 'passed' : 'failed' }}@endif</dd>
                @endforeach
            </dl>
        </div></details>
    @foreach ($lines as $line)
        <details class="point"><summary><span @class(['plum' => $line->push < 0])>{{ $line->signal->title }} <span class="muted small"><x-ago :time="$line->signal->occurred_at" /></span></span><span @class(['strong', 'plum' => $line->push < 0])>{{ Say::points($line->points) }}</span></summary>
            <div class="made">
                <p>{{ (int) Points::FIT }} × Fit {{ Say::part($standing->fit) }} × push {{ Say::part($line->push) }}@if ($line->push < 0), because it speaks against @endif. The push is the product of:</p>
                <dl class="above">
                    <dt>weight of {{ $line->kind->label() }}</dt><dd>{{ Say::part($line->weight) }}</dd>
                    <dt>strength @if ($line->signal->strength_given)<span class="small">as brought</span>@elseif ($line->signal->facts)<span class="small">{{ collect($line->signal->facts)->only('round', 'amount', 'openings', 'before', 'after', 'deed')->map(fn ($value, $name) => "$name ".(is_numeric($value) ? number_format($value) : $value))->implode(', ') }}</span>@endif</dt><dd>{{ Say::part($line->signal->strength) }}</dd>
                    <dt>confidence @if ($line->signal->source)<span class="small">{{ $line->signal->source }}</span>@endif</dt><dd>{{ Say::part($line->signal->confidence) }}</dd>
                    <dt>freshness <span class="small">{{ $line->stage->value }}</span></dt><dd>{{ Say::part($line->freshness) }}</dd>
                    <dt>novelty <span class="small">what is usual there says little</span></dt><dd>{{ Say::part($line->novelty) }}</dd>
                    @if ($line->place > 0)<dt>{{ ['second', 'third', 'fourth'][$line->place - 1] ?? ($line->place + 1).'th' }} of its kind</dt><dd>{{ rtrim(number_format(.5 ** $line->place, 4), '0') }}</dd>@endif
                </dl>
            </div></details>
    @endforeach
    @if ($standing->push < -1)<div class="point"><div class="flat"><span>What speaks against counts down to −1 only</span><span>{{ Say::points($sum->push - Points::ofPush($standing->fit, $standing->push)) }}</span></div></div>@endif
    <details class="point"><summary><span>{{ $standing->access >= .5 ? 'Can be reached' : ($standing->access > 0 ? 'Hard to reach' : 'No way to reach them') }}</span><span class="strong">{{ Say::points($sum->access) }}</span></summary>
        <div class="made"><p>{{ (int) Points::ACCESS }} × Access {{ Say::part($standing->access) }}@if ($through), {{ $through['half'] ? 'half that of' : 'that of' }} {{ $through['row']->contact->name() }}, who is reached best{{ $through['half'] ? '; nobody in a buyer role is in reach' : ($through['role'] ? ' of those in a buyer role' : '') }}:@else: nobody who takes part is in reach.@endif</p>
            @if ($through)<dl class="above"><dt>{{ $through['row']->contact->name() }}</dt><dd>{{ Say::part($through['row']->reach->access) }}</dd>
                @foreach ($through['row']->contact->channels as $channel)<dt>{{ $channel->type->label() }} <span class="small">{{ $channel->type === \Luftig\Core\Priority\ChannelType::Email ? $channel->state->label() : ($channel->active_at ? 'active '.Say::ago($channel->active_at) : '') }}</span></dt><dd>{{ Say::part($channel->asRule(now())->worth()) }}</dd>@endforeach</dl>@endif
        </div></details>
    <div class="total"><span>Points</span><span>{{ Say::points($standing->points) }}</span></div>
    <p class="muted small">@if ($standing->priority !== null)Priority {{ number_format($standing->priority, 1) }} = 100 ÷ (1 + e^(−points ÷ 10)). It orders accounts; it is not a chance.@else It has no priority while it is {{ lcfirst($standing->state->label()) }}.@endif Rules version {{ $standing->ruleSet->version }}, computed <x-ago :time="$standing->computed_at" />.</p>
</div>
