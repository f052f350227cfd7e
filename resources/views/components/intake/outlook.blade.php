{{-- What would become of all rows of a file; while it is found out, how far that is. --}}
@props(['outlook'])
<div id="whole" class="mb-3" aria-live="polite" @if ($outlook->isMoving())
    hx-get="{{ route('intake.outlook', $outlook->intake) }}" hx-trigger="every 1s" hx-swap="outerHTML" @endif>
    @if ($outlook->isMoving())
        <p class="text-body-tertiary mt-2">All of the file is being looked through; nothing is stored yet.</p>
        <x-progress :share="$outlook->progress()" label="Looked through" class="measure" />
    @elseif ($outlook->hasFailed())
        <p class="text-body-tertiary mt-2">Something went wrong on our side while it was looked through. Nothing is
            stored; it can be brought in all the same.</p>
    @elseif ($outlook->isDone())
        <p class="text-body-tertiary mt-2">Of its {{ $outlook->rows() }}, if you bring it in now:</p>
        <div class="d-flex flex-wrap gap-4">
            @foreach ($outlook->tally() as $one)
                <div><span class="font-figure fs-3 fw-semibold d-block"
                    data-outlook="{{ $one['field'] }}">{{ $one['number'] }}</span>
                    <span class="text-body-secondary">{{ $one['label'] }}</span></div>
            @endforeach
        </div>
        @foreach ($outlook->reasons() as $reason => $count)
            <p class="small"><span class="text-body-secondary">{{ $count }}:</span> {{ $reason }}</p>
        @endforeach
        @foreach ($outlook->unread() as $column => $count)
            <p class="small"><span class="text-body-secondary">{{ $count }} under “{{ $column }}”:</span> cannot be
                read: left empty</p>
        @endforeach
    @endif
</div>
