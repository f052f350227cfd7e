@use('App\Intake\IntakeKind')
<x-layout title="Intake" at="">
    <h1>Intake</h1>
    <div class="two gap">
        <div class="stack">
            <form method="post" action="{{ route('intake.store') }}" enctype="multipart/form-data" class="card stack">
                @csrf
                <h2>Bring a file</h2>
                <p class="soft">CSV of accounts, contacts, customers, signals or relations, or vCards. The first line of a CSV names the columns, in any of our languages; nothing is taken in before you have seen what becomes of it.</p>
                <label class="field"><span>File, up to {{ config('luftig.upload_megabytes') }} MB</span><input type="file" name="file" accept=".csv,.txt,.tsv,.vcf,text/csv,text/vcard" required data-most="{{ config('luftig.upload_megabytes') }}"></label>
                <p class="wrong" id="file-told" role="alert"></p>
                <x-wrong for="file" />
                <div class="buttons"><button class="button primary" id="file-send">Look at it</button>
                    <span class="muted small">Templates to fill: @foreach (IntakeKind::cases() as $kind)<a class="underlined" href="{{ route('intake.template', $kind->value) }}">{{ $kind->value }}</a>@unless ($loop->last), @endunless @endforeach</span></div>
            </form>
            <h2 class="head">Files</h2>
            @if ($intakes->isEmpty())
                <p class="empty">No file was brought yet. Begin with accounts; then contacts and signals find their account by its domain.</p>
            @else
                <div class="scroll"><table>
                    <thead><tr><th>File</th><th>Brought</th><th class="number">New</th><th class="number">Changed</th><th class="number">Same</th><th class="number">Not taken</th><th>State</th></tr></thead>
                    @foreach ($intakes as $intake)
                        <tr><td><a class="strong" href="{{ route('intake.show', $intake) }}">{{ $intake->name }}</a><br><span class="muted small">{{ $intake->kind->value }}</span></td>
                            <td class="small">{{ $intake->user?->name ?? 'demo' }}<br><span class="muted"><x-ago :time="$intake->created_at" /></span></td>
                            @foreach (['created', 'updated', 'unchanged', 'rejected'] as $n)<td class="number">{{ number_format($intake->$n) }}</td>@endforeach
                            <td class="small">{{ $intake->state->label() }}</td></tr>
                    @endforeach
                </table></div>
                <x-pager :pages="$intakes" />
            @endif
        </div>
        <div class="card aside">
            <h2>To decide</h2>
            <x-wrong for="decision" />
            @if ($pairs !== [])
                <h3 class="above">One or two? <span class="muted small">{{ App\View\Say::count($open, 'pair') }}</span></h3>
                @foreach ($pairs as $pair)@include('intake.pair', ['pair' => $pair])@endforeach
            @endif
            @if ($decided !== [])
                <details class="ruled"><summary class="pine small">Pairs decided last</summary>
                    @foreach ($decided as $pair)<form method="post" action="{{ route('doubles.destroy', $pair->double) }}" class="small around">@csrf @method('DELETE')
                        {{ $pair->first instanceof App\Models\Account ? $pair->first->name : $pair->first->name() }}: {{ $pair->double->state === 'same' ? 'one' : 'two' }}, {{ $pair->double->user->name ?? 'somebody' }} <button class="button slight small" aria-label="Undo the decision on {{ $pair->first instanceof App\Models\Account ? $pair->first->name : $pair->first->name() }}">Undo</button></form>@endforeach</details>
            @endif
            @if ($labels->isEmpty() && $pairs !== [])
            @elseif ($labels->isEmpty())
                <p class="soft above">Nothing. Records that may be one, and industry labels that could mean several things, wait here for a decision.</p>
            @else
                <p class="soft around">What do these industry labels mean? The decision holds for all later files.</p>
                <x-wrong for="code" />
                @foreach ($labels as $label)
                    <form class="ruled" method="post" action="{{ route('labels.update', $label) }}">@csrf @method('PATCH')
                        <label for="label-{{ $label->id }}"><strong>{{ $label->label }}</strong> <span class="muted small">{{ App\View\Say::count($label->used, 'account') }}</span></label>
                        <div style="display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 8px; margin-top: 4px"><select id="label-{{ $label->id }}" name="code"><option value="">choose …</option>@foreach ($industries as $code => $name)<option value="{{ $code }}" @selected((string) $code === $label->suggested)>{{ $code }} {{ $name }}</option>@endforeach</select><button class="button">Decide</button></div></form>
                @endforeach
            @endif
        </div>
    </div>
</x-layout>
