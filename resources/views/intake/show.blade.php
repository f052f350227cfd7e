@use('App\Intake\IntakeState')
<x-layout :title="$intake->name" at="">
    <p class="back"><a href="{{ route('intake.index') }}" data-back>← Intake</a></p>
    <h1>{{ $intake->name }}</h1>
    <div id="progress" class="stack gap" style="max-width: 900px" @if ($intake->state->isMoving()) hx-get="{{ route('intake.show', $intake) }}" hx-trigger="every 1s" hx-select="#progress" hx-swap="outerHTML" @endif>
        <p class="soft">{{ ucfirst($intake->kind->value) }}, {{ $intake->state->label() }}@if ($intake->finished_at) <x-ago :time="$intake->finished_at" />@endif.@if ($intake->state->isMoving()) You can leave this page; it goes on.@endif</p>
        @if ($intake->message)<p class="warned" role="alert">{{ $intake->message }}</p>@endif
        @if ($intake->state === IntakeState::Running || $intake->state === IntakeState::Queued || $intake->state === IntakeState::Stopped)
            <div class="progress" role="progressbar" aria-label="Taken in" aria-valuenow="{{ round(100 * $intake->progress()) }}" aria-valuemin="0" aria-valuemax="100"><i style="width: {{ round(100 * $intake->progress()) }}%"></i></div>
        @endif
        <div class="tally">
            @foreach (['rows' => 'rows read', 'created' => 'new', 'updated' => 'changed', 'unchanged' => 'as they were', 'rejected' => 'not taken'] as $field => $name)<div><span class="figure" data-tally="{{ $field }}">{{ number_format($intake->$field) }}</span><span class="muted">{{ $name }}</span></div>@endforeach
        </div>
        <div class="buttons">
            @if ($intake->state === IntakeState::Done)<a class="button primary" href="{{ route('accounts.index') }}">See the ranking</a>@endif
            @if ($intake->state === IntakeState::Stopped)<form method="post" action="{{ route('intake.resume', $intake) }}">@csrf<button class="button primary">Go on</button></form>@endif
            @if ($intake->rejected > 0)<a class="button" href="{{ route('intake.rejected', $intake) }}">Download what was not taken</a>@endif
            @can('undo', $intake)@if ($intake->state === IntakeState::Done || $intake->state === IntakeState::Stopped)<button class="button danger" type="button" data-open="undo">Undo the whole file</button>@endif @endcan
        </div>
    @if ($rejected->isNotEmpty())
        <h2 class="head gap">Not taken, and why</h2>
        <div class="scroll"><table><thead><tr><th class="number">Line</th><th>Why</th><th>Row</th></tr></thead>
            @foreach ($rejected as $row)<tr><td class="number">{{ $row->line }}</td><td>{{ $row->reason }}</td><td class="muted small">{{ \Illuminate\Support\Str::limit(implode(' · ', array_filter($row->row)), 110) }}</td></tr>@endforeach</table></div>
        @if ($intake->rejected > count($rejected))<p class="muted above">The first {{ count($rejected) }} of {{ number_format($intake->rejected) }}; the download has them all.</p>@endif
    @endif
    </div>
    <dialog id="undo" aria-label="Undo the whole file"><form method="post" action="{{ route('intake.undo', $intake) }}" class="stack">@csrf
        <h2>Undo {{ $intake->name }}?</h2>
        <p class="soft">{{ number_format($intake->created) }} new records go, {{ number_format($intake->updated) }} changed ones become what they were. What somebody has changed or built on since stays. The file can be brought again.</p>
        <div class="buttons"><button class="button primary">Undo it</button><button class="button" type="button" data-close>Leave it</button></div></form></dialog>
</x-layout>
