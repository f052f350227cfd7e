@use('App\View\Say')
@use('App\Models\ApproachKind')
<x-layout :title="'A reason for '.$account->name" at="accounts">
    <p class="back"><a href="{{ route('accounts.show', $account) }}" data-back>← {{ $account->name }}</a></p>
    <h1>Why approach {{ $account->name }} now</h1>
    <form method="post" action="{{ route('reasons.store', $account) }}" class="two gap">
        @csrf
        <div class="stack">
            <div style="display: grid; grid-template-columns: 1fr 200px; gap: 12px">
                <label class="field"><span>To</span><select name="contact">
                    <option value="">nobody in particular</option>
                    @foreach ($contacts as $one)<option value="{{ $one->id }}" @selected((int) old('contact', $contact?->id) === $one->id)>{{ $one->name() }}@if ($one->title), {{ $one->title }}@endif ({{ \App\View\Reach::of($one, $barred)->label() }})</option>@endforeach
                </select></label>
                <label class="field"><span>By</span><select name="channel"><option value="">not decided</option>@foreach (ApproachKind::cases() as $kind)<option value="{{ $kind->value }}" @selected(old('channel') === $kind->value)>{{ $kind->label() }}</option>@endforeach</select></label>
            </div>
            <label class="field"><span>In which words</span><textarea name="words" rows="7" required maxlength="2000">{{ old('words', $draft->words()) }}</textarea></label>
            <x-wrong :for="['words', 'channel', 'contact']" />
            <p class="muted small">Leave out words that tell time, such as “yesterday”: the reason may be used some days from now.</p>
            <div class="buttons"><button class="button primary">Record the reason</button><a class="button" href="{{ route('accounts.show', $account) }}">Leave it</a></div>
        </div>
        <fieldset class="card aside">
            <legend class="visually-hidden">What the words rest on</legend>
            <h2>What the words rest on</h2>
            <p class="muted small around">Tick what they mention. The reason is good as long as all of it is fresh.</p>
            <x-wrong for="signals" />
            @php $offered = collect($lines)->filter(fn ($line) => $line->push > 0); $said = 0; @endphp
            @foreach ($offered as $line)
                @php $may = $line->mayBeSaid() && $line->isFresh(); $checked = $may && $said < 2; if ($may) { $said++; } @endphp
                <label class="tick"><input type="checkbox" name="signals[]" value="{{ $line->signal->id }}" @checked(old('words') ? in_array((string) $line->signal->id, old('signals', []), true) : $checked) @disabled(! $may)>
                    <span @class(['muted' => ! $may])>{{ $line->signal->title }}<br><x-barb :line="$line" bare /> <span class="small muted"><x-ago :time="$line->signal->occurred_at" />@unless ($line->kind->mayBeQuoted()) · they would not expect us to know @elseif (! $line->isFresh()) · no longer fresh @endunless</span>
                    @if ($line->signal->quote)<blockquote>{{ $line->signal->quote }}</blockquote>@endif</span></label>
            @endforeach
            @if ($facts !== [])
                <h3 class="above">Facts</h3>
                @foreach ($facts as $fact)<label class="tick"><input type="checkbox" name="facts[]" value="{{ $fact }}" @checked(in_array($fact, old('facts', $offered->isEmpty() ? [$facts[0]] : []), true))><span>{{ $fact }}</span></label>@endforeach
            @endif
            @if ($offered->isEmpty() && $facts === [])<p class="soft">Nothing is known that words could rest on. Bring signals or facts of this account first.</p>@endif
        </fieldset>
    </form>
</x-layout>
