@use('App\View\Say')
<x-layout :title="'Through '.$list->name" at="lists">
    <p class="back"><a href="{{ route('lists.show', $list) }}" data-back>← {{ $list->name }}</a></p>
    <div class="spread"><div class="line"><h1>Step through</h1><span class="muted">{{ number_format($decided) }} of {{ number_format($size) }} decided, {{ number_format($kept) }} kept</span></div>
        @if ($kept > 0)<form method="post" action="{{ route('lists.steps.keep', $list) }}">@csrf<button class="button">Make a list of the {{ number_format($kept) }} kept</button></form>@endif</div>
    <div class="gap measure">
        @if ($record)@include('lists.record', ['action' => route('lists.steps.decide', $list), 'field' => 'keep', 'yes' => 'Keep', 'no' => 'Drop'])
            @php $at = $record instanceof App\Models\Contact ? $record->account_id : $record->id; @endphp
            <div class="buttons gap">
                <form method="post" action="{{ route('notes.store', $at) }}" class="buttons">@csrf<label class="visually-hidden" for="note">A note on the account</label><input id="note" name="text" data-note required maxlength="5000" placeholder="A note on the account (N)"><button class="button">Keep the note</button></form>
                @if ($others->isNotEmpty())<form method="post" action="{{ route('lists.steps.add', $list) }}" class="buttons">@csrf<input type="hidden" name="record" value="{{ $record->id }}"><label class="visually-hidden" for="to">Onto another list</label><select id="to" name="to">@foreach ($others as $other)<option value="{{ $other->id }}">{{ $other->name }}</option>@endforeach</select><button class="button">Put on that list</button></form>@endif
            </div>
            <x-wrong :for="['text', 'to']" />
        @elseif ($next !== null)
            <p class="soft">The next of the list is no longer in the base.</p>
            <form method="post" action="{{ route('lists.steps.decide', $list) }}">@csrf<input type="hidden" name="record" value="{{ $next }}"><button class="button" name="keep" value="0" data-drop>Go on <kbd>D</kbd></button></form>
        @else<p class="empty">{{ $size === 0 ? 'The list is empty.' : 'All are decided.' }}</p>@endif
    </div>
</x-layout>
