@use('App\Intake\IntakeKind')
<x-layout :title="$intake->name" at="">
    <p class="back"><a href="{{ route('intake.index') }}" data-back>← Intake</a></p>
    <h1>{{ $intake->name }}</h1>
    <p class="soft around">{{ number_format($intake->bytes / 1024, 0) }} kB, {{ $intake->format['encoding'] }}, columns parted by {{ ["\t" => 'a tab', ';' => 'a semicolon', ',' => 'a comma'][$intake->format['delimiter']] }}.</p>
    @if ($same)<p class="warned">{{ $same->state->isMoving() ? 'The same file is just being taken in, brought by '.($same->user?->name ?? 'somebody').'. Yours would wait for it and then find nothing new.' : 'The same file was taken in before, '.\App\View\Say::ago($same->created_at).'. Taking it in again changes nothing that has not been changed since.' }}</p>@endif
    <form method="post" action="{{ route('intake.update', $intake) }}" class="buttons">@csrf @method('PATCH')
        <span class="strong">Each row is</span>
        @foreach (IntakeKind::cases() as $kind)<label><input type="radio" name="kind" value="{{ $kind->value }}" data-submits @checked($kind === $intake->kind)> {{ ['accounts' => 'an account', 'contacts' => 'a contact', 'customers' => 'a customer', 'signals' => 'a signal', 'relations' => 'somebody one of us knows'][$kind->value] }}</label>@endforeach
        <noscript><button class="button">Choose</button></noscript>
    </form>
    <form method="post" action="{{ route('intake.start', $intake) }}" id="mapping" class="gap">@csrf
        <input type="hidden" name="kind" value="{{ $intake->kind->value }}">
        <h2 class="head">Columns</h2>
        @if ($problem)<p class="wrong" role="alert" id="problem">{{ $problem }}</p>@endif
        <x-wrong :for="['mapping', 'kind']" />
        <div class="grid" style="margin-top: 12px; grid-template-columns: repeat(auto-fill, minmax(215px, 1fr))">
            @foreach ($intake->format['columns'] as $position => $heading)
                <label class="field"><span>{{ $heading !== '' ? $heading : 'column '.($position + 1) }} <span class="muted small">{{ \Illuminate\Support\Str::limit($preview->rows[0]['cells'][$position] ?? '', 24) }}</span></span>
                    <select name="columns[{{ $position }}]"><option value="">leave out</option>@foreach ($columns as $field => $column)<option value="{{ $field }}" @selected(($intake->mapping[$position] ?? '') === $field)>{{ $column->label }}</option>@endforeach</select></label>
            @endforeach
            <label class="field"><span>Source of the file, if it names none</span><input name="source" value="{{ $intake->source }}" maxlength="80" placeholder="trade fair list"></label>
            @if ($intake->kind === IntakeKind::Relations)<label class="field"><span>Whose address book, where no column says it</span><select name="whose">@foreach ($people as $one)<option value="{{ $one->id }}" @selected($one->id === ($intake->whose_id ?? auth()->id()))>{{ $one->name }}</option>@endforeach</select></label>@endif
        </div>
        <div class="buttons gap">
            <button class="button primary">Take it in</button>
            <button class="button" formaction="{{ route('intake.update', $intake) }}" name="_method" value="PATCH">Show what would become of it</button>
            <button class="button danger" form="aside">Put it aside</button>
        </div>
    </form>
    <form method="post" action="{{ route('intake.destroy', $intake) }}" id="aside">@csrf @method('DELETE')</form>
    <h2 class="head gap">The first rows, and what they become</h2>
    @foreach ($preview->rows as $row)
        <div style="display: grid; grid-template-columns: 60px minmax(0, 1fr); gap: 10px; padding: 8px 0; border-bottom: 1px solid var(--hairline)">
            <span class="muted">line {{ $row['line'] }}</span>
            @if ($row['problem'])<span class="rowan">Would not be taken: {{ $row['problem'] }}</span>
            @else<span>@foreach ($row['becomes'] as $name => $text)<span class="muted small">{{ lcfirst($name) }}</span> {{ \Illuminate\Support\Str::limit($text, 80) }}@unless ($loop->last) · @endunless @endforeach</span>@endif
        </div>
    @endforeach
</x-layout>
