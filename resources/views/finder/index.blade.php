@use('App\View\Say')
@use('App\View\Reach')
@use('App\View\Contacts\Tenure')
@use('App\Finder\Column')
@use('App\Finder\StepForm')
@use('Luftig\Core\Finder\Field')
@use('Luftig\Core\Finder\Subject')
@use('Luftig\Core\Finder\Test')
@php
    $contacts = $search->subject === Subject::Contacts;
    $steps = $search->steps;
    $address = fn (array $changed, array $more = []) => route('finder', $search->parameters(array_values($changed)) + $more);
    $high = fn (?int $n) => $n === null ? 30 : 30 + (int) round(80 * log(1 + $n) / log(2 + $everybody));
@endphp
<x-layout title="Finder" at="finder" sorts>
    <div class="spread"><div class="line"><h1>Finder</h1>
        @foreach (Subject::cases() as $one)<a class="button small" @if ($one === $search->subject) aria-current="true" @endif href="{{ route('finder', $search->parameters(array_values(array_filter($steps, fn ($step) => $step->field->suits($one))), $one)) }}">{{ $one->value }}</a>@endforeach</div>
        @if (count($steps) > 0)<a class="button slight" href="{{ route('finder', ['on' => $search->subject->value]) }}">Begin anew</a>@endif</div>
    <div class="narrowing gap">
    <ol class="staircase" aria-label="The steps of the search" data-staircase>
        <li class="stair"><div class="well"><div class="column" style="height: {{ $high($everybody) }}px"><span class="figure">{{ number_format($everybody) }}</span></div></div><div class="under"><span class="muted small">all {{ $search->subject->value }}</span></div></li>
        @foreach ($staircase as $i => $row)
            @php $step = $row['step']; $without = array_values(array_diff_key($steps, [$i => 0])); $last = $i === array_key_last($staircase); @endphp
            <li @class(['stair', 'last' => $last, 'off' => $step->isOff()]) data-step="{{ json_encode($step->given) }}">
                <div class="well"><div class="column" style="height: {{ $high($row['after']) }}px"><span class="figure">{{ $row['after'] === null ? '–' : number_format($row['after']) }}</span></div></div>
                <div class="under">
                    <span class="muted small">{{ $step->excludes() ? 'not ' : '' }}{{ $step->field->label() }}</span>
                    <span class="says" title="{{ $step->says() }}">{{ \Illuminate\Support\Str::limit($step->says(), 46) }}</span>
                    <details class="menu-of-step" @if ($edit === (string) $i || isset($search->mistakes[$i])) open @endif><summary aria-label="Change this step: {{ $step->field->label() }}">⋯</summary>
                        <div class="card stack">
                            @isset($search->mistakes[$i])<p class="wrong" role="alert">{{ $search->mistakes[$i] }}</p>@endisset
                            <form method="post" action="{{ route('finder.narrow') }}" class="stack">@csrf
                                <input type="hidden" name="on" value="{{ $search->subject->value }}">
                                @foreach ($steps as $j => $other) @if ($j !== $i) @foreach ($other->given as $key => $value)<input type="hidden" name="c[{{ $j }}][{{ $key }}]" value="{{ $value }}">@endforeach @endif @endforeach
                                @include('finder.inputs', ['field' => $step->field, 'step' => $step, 'i' => $i])
                                <button class="button small primary">Set</button>
                            </form>
                            <div class="buttons">
                                <a class="button small" href="{{ $address([...array_slice($steps, 0, $i), $step->with(['off' => $step->isOff() ? null : '1']), ...array_slice($steps, $i + 1)]) }}">{{ $step->isOff() ? 'Switch on' : 'Switch off' }}</a>
                                @if ($i > 0)<a class="button small" href="{{ $address([...array_slice($steps, 0, $i - 1), $step, $steps[$i - 1], ...array_slice($steps, $i + 1)]) }}" aria-label="Move {{ $step->field->label() }} one earlier">←</a>@endif
                                @if (! $last)<a class="button small" href="{{ $address([...array_slice($steps, 0, $i), $steps[$i + 1], $step, ...array_slice($steps, $i + 2)]) }}" aria-label="Move {{ $step->field->label() }} one later">→</a>@endif
                                <a class="button small" href="{{ $address($steps, ['vary' => $i]) }}">Vary</a>
                                <a class="button small" href="{{ $address($without) }}">Take out</a>
                            </div>
                        </div></details>
                </div>
                <p class="small muted costs">@if (isset($search->mistakes[$i]))<span class="rowan">cannot be used</span>@elseif ($step->isOff())off @else without: {{ number_format($row['without']) }}@if ($row['unknown'] > 0) · <a href="{{ $address([...array_slice($steps, 0, $i), $step->with(['u' => $step->keepsUnknown() ? '0' : '1']), ...array_slice($steps, $i + 1)]) }}" title="{{ $step->keepsUnknown() ? 'They are kept; drop them' : 'They are dropped; keep them' }}">{{ number_format($row['unknown']) }} unknown{{ $step->keepsUnknown() ? ', kept' : '' }}</a>@endif @endif</p>
            </li>
        @endforeach
    </ol>
    <section class="adding" aria-label="Add a condition">
        @foreach ($steps as $step)@foreach (array_slice($step->hints(), 0, 3) as $hint)<p class="small soft around">{{ ucfirst($step->field->label()) }}: {{ $hint }}</p>@endforeach @endforeach
        <x-wrong for="pasted" />
        @if (count($steps) >= App\Finder\Search::MOST)
            <p class="soft">A search has at most {{ App\Finder\Search::MOST }} steps; take one out to add another.</p>
        @elseif ($add !== null && $add->suits($search->subject))
            <form method="post" action="{{ route('finder.narrow') }}" class="card stack" id="adding">@csrf
                <h2>{{ ucfirst($add->label()) }}</h2>
                @include('finder.hidden', ['steps' => $steps])
                @include('finder.inputs', ['field' => $add, 'step' => null, 'i' => count($steps)])
                <div class="buttons"><button class="button small primary">Add</button><a class="button small" href="{{ $address($steps) }}">Leave it</a></div>
            </form>
        @elseif ($vary !== null)
        @php $at = $vary['at']; $varied = $steps[$at]; $top = max([1, ...array_map(fn ($one) => $one['count'] ?? 0, $vary['tried'])]); @endphp
        <div class="card" role="group" aria-label="Vary {{ $varied->field->label() }}">
            <div class="spread"><h2>{{ ucfirst($varied->field->label()) }}, varied</h2><a class="button slight" href="{{ $address($steps) }}">Leave it</a></div>
            <div class="side-by-side">
                @foreach ($vary['tried'] as $one)
                    <a class="stair" href="{{ $address(array_replace($steps, [$at => $one['step']])) }}"><span class="well"><span class="column" style="height: {{ 26 + round(60 * ($one['count'] ?? 0) / $top) }}px"><span class="figure">{{ $one['count'] === null ? '–' : number_format($one['count']) }}</span></span></span><span class="small">{{ $one['count'] === null ? $one['step']->given['v'] ?? $one['step']->given['q'] ?? 'cannot be used' : $one['step']->says() }}</span></a>
                @endforeach
            </div>
            @if (App\Finder\Varying::isTyped($varied))
                <form method="get" action="{{ route('finder') }}" class="buttons gap">
                    @include('finder.hidden', ['steps' => $steps])<input type="hidden" name="vary" value="{{ $at }}">
                    <label class="field wide"><span>Others to try, one a line{{ $varied->field->test() === Test::Range ? ', as in 50–249' : '' }}</span><textarea name="over" rows="2" maxlength="2000">{{ $vary['lines'] }}</textarea></label><button class="button">Try</button></form>
            @endif
        </div>
        @else
            {{-- Beside so many steps there is no room for them, and they would push the results off the screen. --}}
            @if (count($steps) >= 5)<details><summary class="pine">Add a condition</summary>@endif
            <nav class="fields" aria-label="Conditions to add">
                @foreach ($menu as $group => $fields)
                    <p><span class="muted small">{{ $group }}</span> @foreach ($fields as $field)<a href="{{ $address($steps, ['add' => $field->value]) }}">{{ $field->label() }}</a>@endforeach</p>
                @endforeach
            </nav>
            @if (count($steps) >= 5)</details>@endif
        @endif
    </section>
    </div>
    <div class="two gap">
        <section>
            <div class="spread">
                <p><strong data-total>{{ Say::count($total, $contacts ? 'contact' : 'account') }}</strong>@if ($contacts) in {{ Say::count($accounts, 'account') }}@endif:
                    @foreach (['new' => 'new', 'kept' => 'kept', 'in_work' => 'in work'] as $key => $label)@if ($work[$key] > 0)<a href="{{ $address([...$steps, StepForm::from(['f' => 'work', 'v' => $key, 'x' => '1'])]) }}" title="Leave out what is {{ $label }}">{{ number_format($work[$key]) }} {{ $label }}</a>@else{{ $work[$key] }} {{ $label }}@endif{{ $loop->last ? '' : ', ' }}@endforeach
                    <span class="muted small">· {{ $total === 0 ? 'nobody; take a step out' : ($total > 3 * $week ? 'too many for a week of '.$week.'; add a step' : ($total < $week / 4 ? 'few for a week of '.$week : 'fits a week of '.$week)) }}</span></p>
                <div class="buttons">
                    @if ($total > 0)<button class="button" type="button" data-open="keep-list">Keep as list</button><button class="button" type="button" data-open="tag">Tag</button><button class="button" type="button" data-open="watch">Watch</button>
                        <button class="button" type="button" data-open="take-out">Take out</button>@endif
                </div>
            </div>
            <x-wrong :for="['name', 'per_account', 'rhythm', 'hour', 'time_zone', 'tag']" />
            @if ($total > 0)
                <div class="scroll above">@include('finder.table', ['rows' => $rows, 'choose' => true])</div>
                <x-pager :pages="$pages" />
            @else<p class="empty">Nobody meets all of this. Each step says how many there would be without it.</p>@endif
        </section>
        <aside class="card aside" aria-label="What is in here"@if ($counts === []) hidden @endif>
            <h2>What is in here</h2>
            @foreach ($counts as $field => $values)
                @php $field = Field::from($field); $most = max(array_column($values, 'count')); @endphp
                <h3 class="muted small facet-name">{{ ucfirst($field->label()) }}</h3>
                @foreach ($values as $value)
                    <div class="facet"><span title="{{ $value['label'] }}">{{ $value['label'] }}</span><span class="bar" aria-hidden="true"><i style="width: {{ round(100 * $value['count'] / $most) }}%"></i></span><span class="number">{{ number_format($value['count']) }}</span>
                        <a href="{{ $address([...$steps, $value['step']]) }}" aria-label="Only {{ $field->label() }}: {{ $value['label'] }}">+</a><a href="{{ $address([...$steps, $value['step']->with(['x' => '1'])]) }}" aria-label="Without {{ $field->label() }}: {{ $value['label'] }}">−</a></div>
                @endforeach
            @endforeach
            @if ($total > 0)
                <div hx-get="{{ route('finder.words', $search->parameters()) }}" hx-trigger="load" class="gap"><a href="{{ route('finder.words', $search->parameters()) }}">Words seen in these</a></div>
                <p class="small gap"><a href="{{ $address($steps, $every ? [] : ['every' => 1]) }}">{{ $every ? 'Fewer fields' : 'Every field' }}</a></p>
            @endif
        </aside>
    </div>
    <dialog id="take-out" aria-label="Take out">
        <form method="get" class="stack">
            <h2>Take out {{ Say::count($total, $contacts ? 'contact' : 'account') }}</h2>
            @include('finder.hidden', ['steps' => $steps])
            <fieldset><legend class="small soft">Columns, in this order; drag them, or move them with the arrows</legend>
                <ol class="columns" data-columns>
                    @foreach ([...$columns, ...array_filter(Column::of($search->subject), fn ($column) => ! in_array($column, $columns, true))] as $column)
                        <li><label><input type="checkbox" name="columns[]" value="{{ $column->value }}" @checked(in_array($column, $columns, true))> {{ $column->value }}</label>
                            <button class="button small slight" type="button" data-shift="-1" aria-label="Move {{ $column->value }} up">↑</button><button class="button small slight" type="button" data-shift="1" aria-label="Move {{ $column->value }} down">↓</button></li>
                    @endforeach
                </ol></fieldset>
            <div class="buttons"><button class="button primary" formaction="{{ route('finder.export', 'csv') }}">CSV</button><button class="button" formaction="{{ route('finder.export', 'jsonl') }}">JSON Lines</button>
                @if ($contacts)<button class="button" formaction="{{ route('finder.export', 'vcf') }}">vCards</button>@endif<button class="button" type="button" data-close>Leave it</button></div>
        </form>
    </dialog>
    <dialog id="watch" aria-label="Watch">
        <form method="post" action="{{ route('watches.store') }}" class="stack">@csrf
            <h2>Watch this search</h2>
            @include('finder.hidden', ['steps' => $steps])
            <label class="field"><span>Name</span><input name="name" required maxlength="100"></label>
            <div class="grid"><label class="field"><span>How often</span><select name="rhythm"><option value="daily">daily</option><option value="weekly">weekly, on Mondays</option><option value="monthly">monthly, on the first</option></select></label>
                <label class="field"><span>At the hour</span><input type="number" name="hour" min="0" max="23" value="6" required></label><label class="field"><span>Time zone</span><input name="time_zone" value="{{ config('app.timezone') }}" required data-time-zone></label></div>
            <label><input type="checkbox" name="mailed" value="1" checked> Mail me who is new, when somebody is</label>
            <p class="small soft">Only those who are new from now on are shown, each with what made it new.</p>
            <div class="buttons"><button class="button primary">Watch</button><button class="button" type="button" data-close>Leave it</button></div>
        </form>
    </dialog>
    <dialog id="keep-list" aria-label="Keep as list">
        <form method="post" action="{{ route('finder.keep') }}" class="stack" id="keep-form">@csrf
            <h2>Keep as list</h2>
            @include('finder.hidden', ['steps' => $steps])
            <label class="field"><span>Name</span><input name="name" required maxlength="100" value="{{ old('name') }}"></label>
            @if ($contacts)<label class="field"><span>At most so many at one account (empty: all)</span><input type="number" name="per_account" min="1" max="50" value="{{ old('per_account') }}"></label>@endif
            <p class="small soft">All {{ number_format($total) }}, or only those ticked on this page. The list remembers this search.</p>
            <div class="buttons"><button class="button primary">Keep</button><button class="button" type="button" data-close>Leave it</button></div>
        </form>
    </dialog>
    <dialog id="tag" aria-label="Tag">
        <div class="stack">
            <h2>Tag</h2><input type="hidden" name="subject" value="{{ $search->subject->value }}" form="keep-form">
            <label class="field"><span>Tag</span><input name="tag" maxlength="60" list="tags" autocomplete="off" form="keep-form"></label><datalist id="tags">@foreach ($tags as $tag)<option>{{ $tag->name }}</option>@endforeach</datalist>
            <p class="small soft">On all {{ number_format($total) }}, or only those ticked on this page.</p>
            <div class="buttons"><button class="button primary" form="keep-form" formaction="{{ route('tags.store') }}" formnovalidate>Tag</button><button class="button" type="button" data-close>Leave it</button></div>
        </div>
    </dialog>
</x-layout>
