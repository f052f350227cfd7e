@use('App\View\Say')
@use('App\View\Contacts\Tenure')
@use('Luftig\Core\Priority\ChannelType')
@use('Luftig\Core\Person\Title')
@php $times = Tenure::of($contact); $title = Title::unpacked($contact->reading); $byHand = $contact->by_hand ?? []; $out = $barred->contact($contact->id); $reservation = $row?->reservation; @endphp
<x-layout :title="$contact->name()" at="contacts">
    <p class="back"><a href="{{ route('accounts.show', $account) }}#group" data-back>← {{ $account->name }}</a></p>
    <div class="spread" style="align-items: flex-start">
        <div class="measure">
            <h1>{{ $contact->name() }}</h1>
            <p class="soft above">{{ $contact->title ?? 'title unknown' }} · <a href="{{ route('accounts.show', $account) }}">{{ $account->name }}</a>@if ($times->inPost()) · {{ $times->inPost() }} in the post @endif @if ($times->inCompany()) · {{ $times->inCompany() }} in the company @endif @if ($contact->city) · {{ $contact->city }} @endif</p>
            <p class="small muted">Read as {{ $title->inWords() }}@if ($lesson), as {{ $lesson->user->name ?? 'somebody' }} taught it @endif @if ($times->arrival) · <span class="pine">{{ $times->arrival }}</span>@endif</p>
            <x-tags :tags="$tags" subject="contacts" :record="$contact->id" />
            @if ($out)<p class="gap"><strong>Kept out</strong>: {{ $out }}</p>@endif
        </div>
        @if ($row)<div style="display: flex; gap: 22px; align-items: center">
            <div><span class="big">{{ $row->ranked ? round($row->ranked->priority) : '–' }}</span><br><span class="small muted">priority</span></div>
            <div><span class="figure large">{{ $row->part()?->label() ?? 'no part' }}</span><br><span class="small muted">{{ $row->isByHand() ? 'set by hand; the rules say '.($row->ranked?->part->label() ?? 'no part') : 'part in buying' }}</span></div>
            <div><span class="figure large">{{ Say::part($row->reach->access) }}</span><br><span class="small muted">Access</span></div>
        </div>@endif
    </div>
    <div class="buttons gap">
        @unless ($out)<a class="button primary" data-reason-link href="{{ route('reasons.create', [$account, 'contact' => $contact->id]) }}">Record the reason</a>
            @if ($reservation?->user_id === auth()->id())<form method="post" action="{{ route('reservations.destroy', $contact) }}">@csrf @method('DELETE')<button class="button">Let go</button></form>
            @elseif ($reservation)<span class="muted small">taken by {{ $reservation->user->name }} until {{ $reservation->until->isoFormat('D MMMM') }}</span>
            @else<form method="post" action="{{ route('reservations.store', $contact) }}">@csrf<button class="button">Take</button></form>@endif
            <button class="button" type="button" data-open="out-contact-{{ $contact->id }}">Keep out</button>@endunless
        <button class="button" type="button" data-open="edit-contact">Correct</button>
        <a class="button" href="{{ route('contacts.card', $contact) }}">vCard</a>
    </div>
    <x-wrong :for="['taken', 'reason', 'until', 'first_name', 'title', 'country', 'since', 'company', 'sure', 'seniority']" />
    @if ($row?->why() && ! $out)<p class="small soft above">Not among those to contact now: {{ $row->why() }}.</p>@endif
    <div class="three gap">
        <section class="stack">
            <h2 class="head">Why this priority</h2>
            @if ($row?->ranked) @include('contacts.points') @else<p class="soft">{{ $row?->place?->removed ? 'Taken out of the buying group by hand.' : 'By the rules this title takes no part in buying'.($title->isUnknown() && $contact->title ? ', because it cannot be read.' : '.') }}</p>@endif
            @if ($mayTeach && $contact->title)
                <details @if ($title->isUnknown()) open @endif><summary class="pine">Read wrongly? Teach this title</summary>@include('rules.teach', ['text' => $contact->title, 'reading' => $title])</details>
            @endif
        </section>
        <section class="stack">
            <div>
                <h2 class="head">Posts</h2>
                @foreach ($contact->posts as $post)
                    <div class="happened" style="grid-template-columns: 104px minmax(0, 1fr)">
                        <span class="muted small">{{ $post->since?->isoFormat('MMM YYYY') ?? '?' }} – {{ $post->until?->isoFormat('MMM YYYY') ?? 'now' }}</span>
                        <div><strong>{{ $post->title ?? 'title unknown' }}</strong>@if ($post->by_hand) <span class="by-hand small">set by hand</span>@endif<br><span class="small soft">@if ($post->account)<a href="{{ route('accounts.show', $post->account) }}">{{ $post->account->name }}</a>@else{{ $post->company ?? 'company unknown' }}@endif</span>
                            <details class="small"><summary class="pine">Correct</summary>
                                <form method="post" action="{{ route('posts.update', [$contact, $post]) }}" class="stack around">@csrf @method('PATCH') @include('contacts.post-fields', ['post' => $post])<button class="button small">Keep</button></form>
                                <form method="post" action="{{ route('posts.destroy', [$contact, $post]) }}">@csrf @method('DELETE')<button class="button slight small">Take it away</button></form></details></div>
                    </div>
                @endforeach
                <details class="above"><summary class="pine">Add a post</summary><form method="post" action="{{ route('posts.store', $contact) }}" class="stack around">@csrf @include('contacts.post-fields', ['post' => null])<button class="button small">Add</button></form></details>
            </div>
            <div>
                <h2 class="head">What happened</h2>
                @php $live = collect($lines)->keyBy(fn ($line) => $line->signal->id); @endphp
                @forelse ($signals as $signal)
                    <div class="happened"><span class="muted strong"><x-ago :time="$signal->occurred_at" short /></span>
                        <div>@if ($live->has($signal->id))<x-barb :line="$live[$signal->id]" bare /> @endif{{ $signal->title }}<br><span class="small muted">{{ $signal->kind->label() }} · {{ $signal->derived ? 'follows from the posts' : $signal->source }}@if ($signal->confidence < 1) · {{ Say::percent($signal->confidence) }} sure @endif</span>@if ($signal->quote)<blockquote>{{ $signal->quote }}</blockquote>@endif</div></div>
                @empty<p class="soft around">No signal is about this person.</p>@endforelse
            </div>
        </section>
        <section class="stack">
            <div>
                <h2 class="head">Channels</h2>
                @forelse ($contact->channels as $channel)
                    @php $kept = $barred->address($channel->value); @endphp
                    <div class="person"><div><span class="breaks">{{ $channel->value }}</span><br><span class="small muted">{{ $channel->type->label() }}@if ($channel->type === ChannelType::Email), {{ $channel->state->label() }}@endif @if ($channel->active_at), active {{ Say::ago($channel->active_at) }}@endif @if ($kept) · kept out: {{ $kept }}@endif</span></div><span class="muted" title="Worth">{{ Say::part($kept ? 0 : $channel->asRule(now())->worth()) }}</span></div>
                @empty<p class="soft around">No channel is known.</p>@endforelse
            </div>
            <div>
                <h2 class="head">Relations</h2>
                @forelse ($ties as $tie)<div class="person"><div><strong>{{ $tie['user']->name }}</strong><br><span class="small muted">{{ $tie['because'] }}</span></div><span class="muted" title="How well they know each other">{{ Say::percent($tie['strength']) }}</span></div>
                @empty<p class="soft">Known to nobody of us.</p>@endforelse
            </div>
            @if ($reasons->isNotEmpty() || $approaches->isNotEmpty())
                <div><h2 class="head">Reasons and approaches</h2>
                    @foreach ($reasons as $reason)<p class="small ruled"><a href="{{ route('reasons.show', $reason) }}">{{ \Illuminate\Support\Str::limit($reason->words, 90) }}</a> <span class="muted">{{ $reason->user->name }}, <x-ago :time="$reason->created_at" /></span></p>@endforeach
                    @foreach ($approaches as $approach)<p class="small ruled"><x-ago :time="$approach->made_at" />: {{ $approach->kind->label() }}, {{ $approach->user?->name ?? 'somebody' }} · <strong>{{ $approach->result?->label() ?? 'no result yet' }}</strong></p>@endforeach</div>
            @endif
            <div><h2 class="head">Known, and from where</h2>
                <dl class="stack above">
                    @foreach (['About' => $contact->about, 'Interests' => $contact->interests, 'Profile' => $contact->profile, 'Country' => $contact->country, ...collect(['language' => 'Languages', 'school' => 'Schools', 'association' => 'Associations'])->mapWithKeys(fn ($label, $kind) => [$label => $affiliations->get($kind)?->pluck('name')->implode(', ')])->all(), 'Source' => collect([$contact->source, $contact->seen_at?->isoFormat('[seen] D MMM YYYY')])->filter()->implode(', '), 'Set by hand' => implode(', ', array_map(fn ($field) => str_replace('_', ' ', $field), $byHand))] as $name => $value)
                        @if ($value)<div><dt>{{ $name }}</dt><dd>{{ $value }}</dd></div>@endif
                    @endforeach
                </dl>
                <p class="above"><a href="{{ route('contacts.known', $contact) }}">All that is kept of this person, as a file</a></p>
                @can('erase', $contact)<p class="above"><button class="button danger small" type="button" data-open="erase">Erase on request</button></p>@endcan
            </div>
        </section>
    </div>
    <x-keep-out-form :account="$account" :contact="$contact" :next="'/contacts/'.$contact->id" key />
    <dialog id="edit-contact" aria-label="Correct {{ $contact->name() }}">
        <form method="post" action="{{ route('contacts.update', $contact) }}" class="stack">@csrf @method('PATCH')
            <h2>Correct</h2><p class="soft">What you set by hand stays, whatever later files say.</p>
            <div class="grid">@foreach (['first_name' => 'First name', 'last_name' => 'Last name', 'title' => 'Title', 'city' => 'City', 'country' => 'Country', 'profile' => 'Profile address'] as $field => $label)<label class="field"><span>{{ $label }}</span><input name="{{ $field }}" value="{{ old($field, $contact->$field) }}" maxlength="{{ str_ends_with($field, '_name') ? 100 : 190 }}"></label>@endforeach</div>
            <label class="field"><span>About</span><textarea name="about" rows="3" maxlength="5000">{{ old('about', $contact->about) }}</textarea></label>
            <div class="buttons"><button class="button primary">Keep</button><button class="button" type="button" data-close>Leave it</button></div>
        </form>
    </dialog>
    @can('erase', $contact)
        <dialog id="erase" aria-label="Erase {{ $contact->name() }}">
            <form method="post" action="{{ route('contacts.erase', $contact) }}" class="stack">@csrf @method('DELETE')
                <h2>Erase {{ $contact->name() }}</h2>
                <p class="soft">Everything that is kept of this person goes: channels, posts, signals, and the name in reasons and notes. A fingerprint that tells nothing stays, so that no file brings them back. This cannot be undone; save <a href="{{ route('contacts.known', $contact) }}">the file of what is known</a> first, should they ask for it.</p>
                <label class="field"><span>Type the name to be sure</span><input name="sure" required autocomplete="off"></label>
                <div class="buttons"><button class="button danger">Erase</button><button class="button" type="button" data-close>Leave it</button></div>
            </form>
        </dialog>
    @endcan
</x-layout>
