@use('App\View\Say')
@use('Luftig\Core\Priority\Part')
@php $contact = $row->contact; $since = $contact->posts->first(fn ($post) => $post->until === null && $post->account_id === $contact->account_id)?->since; $why = $row->why(); @endphp
<div @class(['group-person', 'focus' => $focused]) tabindex="0" data-contact="{{ $contact->id }}" data-in="{{ $row->part()?->value ?? 'out' }}" @if ($focused) data-moved @endif aria-label="{{ $contact->name() }}, {{ $row->part()?->label() ?? 'takes no part' }}">
    <div>
        <a href="{{ route('contacts.show', $contact) }}"><strong>{{ $contact->name() }}</strong></a> <span class="small soft">{{ $contact->title ?? 'title unknown' }}</span>
        @if ($row->isByHand())<span class="by-hand small" title="Set by {{ $row->place->user->name ?? 'somebody' }}; the rules say {{ $row->ranked?->part->label() ?? 'no part' }}">set by hand</span>@endif<br>
        <span class="small muted">{{ $row->reach->label() }}@if ($since) · in post since {{ $since->isoFormat('MMM YYYY') }}@endif @if ($row->place?->reports_to && isset($names[$row->place->reports_to])) · reports to {{ $names[$row->place->reports_to] }}@endif @if ($why) · <span data-why>{{ $why }}</span>@endif</span>
    </div>
    <span class="muted" title="Priority of this person">{{ $row->ranked ? round($row->ranked->priority) : '' }}</span>
    <details class="menu-of-person"><summary aria-label="Change the part of {{ $contact->name() }}">⋯</summary>
        <form method="post" action="{{ route('group.update', [$contact->account_id, $contact]) }}" class="card stack" hx-patch="{{ route('group.update', [$contact->account_id, $contact]) }}" hx-target="#group" hx-swap="outerHTML">@csrf @method('PATCH')
            <label class="field"><span>Part</span><select name="part"><option value="">as it is</option>@foreach (Part::cases() as $one)<option value="{{ $one->value }}">{{ $one->label() }}</option>@endforeach<option value="out">does not belong here</option>@if ($row->isByHand())<option value="computed">as the rules say</option>@endif</select></label>
            <label class="field"><span>Reports to</span><select name="reports_to"><option value="">not known</option>@foreach ($names as $id => $name)@if ($id !== $contact->id)<option value="{{ $id }}" @selected($row->place?->reports_to === $id)>{{ $name }}</option>@endif @endforeach</select></label>
            <button class="button primary">Set</button>
        </form></details>
</div>
