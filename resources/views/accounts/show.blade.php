@use('App\View\Say')
@use('App\Intake\Countries')
@use('App\Standings\StandingState')
@use('Luftig\Core\Firm\Industries')
@php
    $place = $account->headquarters();
    $industry = $account->industries->first()?->code;
    $to = fn (?int $id) => $id === null ? null : route('accounts.show', [$id] + $ranking->parameters());
    $next = $to($around['after']) ?? route('accounts.index', $ranking->parameters());
    $nextPath = \Illuminate\Support\Str::after($next, url('/'));
@endphp
<x-layout :title="$account->name" at="accounts" sorts>
    <div class="spread small muted" style="margin-bottom: 8px">
        <a href="{{ route('accounts.index', $ranking->parameters()) }}" data-back>← {{ $ranking->state->label() }}{{ $ranking->search !== '' ? ': “'.$ranking->search.'”' : '' }}</a>
        <span class="buttons">
            @if ($around['position'])<span>{{ number_format($around['position']) }} of {{ number_format($around['of']) }}</span>@endif
            @if ($around['before'])<a rel="prev" data-step href="{{ $to($around['before']) }}">← before</a>@endif
            @if ($around['after'])<a rel="next" data-step href="{{ $to($around['after']) }}">next →</a>@endif
        </span>
    </div>
    <div class="spread" style="align-items: flex-start">
        <div class="measure">
            <h1>{{ $account->name }}</h1>
            <p class="soft above">{{ collect([
                $account->domain, $industry ? lcfirst(Industries::name($industry)).' (ISIC '.$industry.')' : 'industry unknown',
                collect([$place?->city, Countries::name($place?->country)])->filter()->implode(', ') ?: 'place unknown',
                $account->headcount !== null ? ($account->headcount_given ?? number_format($account->headcount)).' heads' : 'heads unknown',
                $account->growth !== null ? Say::growth($account->growth).' in a year' : null,
                $account->sites ? Say::count($account->sites, 'site') : null,
            ])->filter()->implode(' · ') }}</p>
            <x-tags :tags="$tags" subject="accounts" :record="$account->id" />
            @if ($standing && $standing->state !== StandingState::Ranked)
                <div class="gap"><strong>{{ $standing->state->label() }}</strong>@if ($standing->cause): {{ $standing->cause }}@elseif ($standing->state === StandingState::Waiting): no live signal counts for it @endif @if (str_starts_with((string) $standing->cause, 'agency, by'))<form method="post" action="{{ route('accounts.update', $account) }}" class="inline-form">@csrf @method('PATCH')<button class="button slight small" name="no_agency" value="1">It is no agency</button></form>@endif</div>
            @endif
            @if ($decision && $decision->decision !== 'dropped')<p class="small muted">{{ $decision->decision === 'kept' ? 'Kept by '.$decision->user->name : 'Put off to '.$decision->until->isoFormat('D MMMM').' by '.$decision->user->name }}@if ($account->owner) · owner {{ $account->owner->name }}@endif</p>@endif
        </div>
        @if ($standing)
            <div style="display: flex; gap: 18px; align-items: center">
                <div><span class="big">{{ $standing->priority !== null ? round($standing->priority) : '–' }}</span><br><span class="small muted">priority</span></div>
                <div style="width: 330px; max-width: 60vw"><x-parts :standing="$standing" /></div>
            </div>
        @endif
    </div>
    <div class="buttons gap">
        @if ($standing && $standing->state !== StandingState::KeptOut)<a class="button primary" data-reason-link href="{{ route('reasons.create', $account) }}">Record the reason</a>@endif
        @if ($decision?->decision === 'kept' || $decision?->decision === 'dropped')
            <form method="post" action="{{ route('decision.destroy', $account) }}">@csrf @method('DELETE')<button class="button">{{ $decision->decision === 'kept' ? 'No longer keep' : 'Take back the drop' }}</button></form>
        @endif
        @foreach (['kept' => ['Keep', 'data-keep'], 'dropped' => ['Drop', 'data-drop']] as $value => [$label, $mark])
            @if ($decision?->decision !== $value)
                <form method="post" action="{{ route('decision.store', $account) }}">@csrf<input type="hidden" name="decision" value="{{ $value }}"><input type="hidden" name="next" value="{{ $nextPath }}"><button class="button" {{ $mark }}>{{ $label }}, and next</button></form>
            @endif
        @endforeach
        <button class="button" type="button" data-open="later-{{ $account->id }}">Later</button>
        <button class="button" type="button" data-open="out-{{ $account->id }}">Keep out</button>
    </div>
    <x-wrong :for="['decision', 'until', 'reason', 'text', 'taken', 'part', 'reports_to', 'first_name', 'last_name', 'email', 'phone', 'since']" />

    @if ($ribbon)<div class="card gap" style="padding: 8px 12px">@include('accounts.ribbon')</div>@endif

    <div class="three gap">
        <div>@if ($group) @include('accounts.group') @else <p class="empty">Not computed yet; that takes a few seconds.</p> @endif</div>
        <section>
            <h2 class="head">What happened</h2>
            @php $live = collect($lines)->keyBy(fn ($line) => $line->signal->id); @endphp
            @forelse ($account->signals as $i => $signal)
                @if ($i === 8) <details><summary class="pine around">{{ count($account->signals) - 8 }} earlier</summary> @endif
                <div class="happened">
                    <span class="muted strong"><x-ago :time="$signal->occurred_at" short /></span>
                    <div>
                        <div style="display: flex; gap: 6px">@if ($live->has($signal->id))<x-barb :line="$live[$signal->id]" bare />@endif<span>{{ $signal->title }}</span></div>
                        <span class="muted small">{{ $signal->kind->label() }}@if ($signal->source) · {{ $signal->source }}@endif @if ($signal->confidence < 1) · {{ Say::percent($signal->confidence) }} sure @endif @if ($signal->link) · <a class="inline underlined" href="{{ $signal->link }}" rel="noreferrer noopener" target="_blank">source page</a>@endif @unless ($live->has($signal->id)) · {{ $signal->occurred_at->isFuture() ? 'announced' : ($catalogue ? $catalogue->of($signal->kind)->stage(($signal->occurred_at->diffInSeconds(now())) / 86400)->value : '') }}@endunless</span>
                        @if ($signal->quote)<blockquote>{{ $signal->quote }}</blockquote>@endif
                    </div>
                </div>
                @if ($i >= 8 && $loop->last) </details> @endif
            @empty
                <p class="empty">Nothing known yet.</p>
            @endforelse
        </section>
        <section class="stack">
            <div>
                <h2 class="head">Why it ranks where it ranks</h2>
            @if ($standing) @include('accounts.points') @else <p class="empty">Not computed yet; that takes a few seconds.</p> @endif
            </div>
            <div>
                <h2 class="head">What they run</h2>
                <p class="above">{{ $account->technologies->pluck('name')->implode(', ') ?: 'Unknown' }}</p>
            </div>
            <div>
                <h2 class="head">Notes</h2>
                @foreach ($account->notes as $note)
                    <div class="ruled"><p style="white-space: pre-line">{{ $note->text }}</p>
                        <div class="line small muted"><span>{{ $note->user->name }}, <x-ago :time="$note->created_at" /></span>@can('delete', $note)<form method="post" action="{{ route('notes.destroy', $note) }}">@csrf @method('DELETE')<button class="button slight small">Delete</button></form>@endcan</div></div>
                @endforeach
                <form method="post" action="{{ route('notes.store', $account) }}" class="stack above">@csrf
                    <label class="visually-hidden" for="note">Note</label><textarea id="note" name="text" rows="2" data-note placeholder="A note for the team" required maxlength="5000">{{ old('text') }}</textarea>
                    <button class="button">Keep the note</button></form>
            </div>
            <details>
                <summary class="pine">What is known of it, and from where</summary>
                <dl class="stack above">
                    @foreach ([
                        'Revenue' => $account->revenue_amount !== null ? ($account->revenue_given ?? Say::money($account->revenue_amount, $account->revenue_currency)).($account->revenue_currency !== 'EUR' ? ' ('.Say::money($account->revenue, 'EUR').')' : '') : null,
                        'Description' => $account->description, 'Keywords' => $account->keywords, 'Founded' => $account->founded, 'Parent' => $account->parent?->name,
                        'Places' => $account->places->map(fn ($p) => collect([$p->city, $p->region, $p->postal_code])->filter()->implode(', '))->implode(' · '),
                        'Customer' => $account->customerPeriods->map(fn ($p) => ($p->since ? 'since '.$p->since->isoFormat('MMM YYYY') : 'yes').($p->until ? ' until '.$p->until->isoFormat('MMM YYYY') : '').($p->best ? ', among the best' : ''))->implode(' · '),
                        ...$account->extras->mapWithKeys(fn ($extra) => [$extra->name => $extra->pivot->value])->all(),
                        'Source' => collect([$account->source, $account->seen_at?->isoFormat('[seen] D MMM YYYY')])->filter()->implode(', '),
                    ] as $name => $value)
                        @if ($value)<div><dt>{{ $name }}</dt><dd>{{ $value }}</dd></div>@endif
                    @endforeach
                </dl>
            </details>
            @if ($account->approaches->isNotEmpty())
                <div><h2 class="head">Approaches</h2>
                    @foreach ($account->approaches->take(6) as $approach)
                        <p class="small ruled"><x-ago :time="$approach->made_at" />: {{ $approach->kind->label() }} @if ($approach->contact) to {{ $approach->contact->name() }}@endif, {{ $approach->user?->name ?? 'somebody' }} · <strong>{{ $approach->result?->label() ?? 'no result yet' }}</strong></p>
                    @endforeach</div>
            @endif
        </section>
    </div>
    <dialog id="new-person" aria-label="Add a person">
        <form method="post" action="{{ route('contacts.store', $account) }}" class="stack">@csrf
            <h2>Add a person at {{ $account->name }}</h2>
            <div class="grid"><label class="field"><span>First name</span><input name="first_name" maxlength="100"></label><label class="field"><span>Last name</span><input name="last_name" maxlength="100"></label>
                <label class="field"><span>Title</span><input name="title" maxlength="190"></label><label class="field"><span>In the post since</span><input type="date" name="since" max="{{ today()->toDateString() }}"></label>
                <label class="field"><span>E-mail address</span><input type="email" name="email" maxlength="190"></label><label class="field"><span>Direct phone</span><input name="phone" maxlength="60"></label></div>
            <div class="buttons"><button class="button primary">Add</button><button class="button" type="button" data-close>Leave it</button></div>
        </form>
    </dialog>
    <x-later :account="$account" :next="$nextPath" />
    <x-keep-out-form :account="$account" :next="$nextPath" />
</x-layout>
