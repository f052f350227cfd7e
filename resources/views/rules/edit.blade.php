@use('Luftig\Core\Profile\Field')
@use('Luftig\Core\Profile\Mode')
@use('Luftig\Core\Signal\Counts')
@php $given = old('criteria') !== null ? array_values(old('criteria')) : null; @endphp
<x-layout :title="'Rules of '.$editing->name" at="">
    <div class="spread"><div class="line"><h1>Rules</h1><span class="muted">{{ $editing->name }}, version {{ $rules->version }}@if ($rules->author), by {{ $rules->author->name }} <x-ago :time="$rules->created_at" />@endif</span></div>
        <span class="buttons">@foreach ($offers as $one)<a class="button" href="{{ route('rules.edit', $one) }}" @if ($one->is($editing)) aria-current="page" @endif>{{ $one->name }}</a>@endforeach</span></div>
    @if ($old)<p class="warned gap">You look at version {{ $rules->version }}. Saving makes it the newest again, as a version of its own. <a href="{{ route('rules.edit', $editing) }}">Back to the rules in force</a></p>@endif
    <x-wrong for="rules" />
    @foreach ($errors->get('kinds.*') as $messages)<p class="wrong" role="alert">{{ $messages[0] }}</p>@endforeach
    <form method="post" action="{{ route('rules.store', $editing) }}" class="two gap" hx-post="{{ route('rules.preview', $editing) }}" hx-trigger="change delay:250ms, input changed delay:700ms from:find input" hx-target="#moves" hx-sync="this:replace">
        @csrf
        <input type="hidden" name="version" value="{{ session('newest', $newest) }}">
        <div>
            <h2 class="head">Target profile: whom it serves</h2>
            <div class="scroll"><table class="rules"><thead><tr><th>Name</th><th>Looks at</th><th>It</th><th>Weight</th><th>Values, query, or place</th><th>From / km</th><th>To</th><th></th></tr></thead>
                <tbody id="criteria">
                    @foreach ($given ?? $rules->criteria as $i => $criterion)
                        @include('rules.criterion', ['i' => $i, 'row' => $given === null ? App\View\Rules\CriterionRow::of($criterion) : $criterion])
                    @endforeach
                </tbody></table></div>
            <template id="criteria-new">@include('rules.criterion', ['i' => 'NEW', 'row' => []])</template>
            <p class="above"><button class="button" type="button" data-add="criteria">Add a criterion</button></p>
            <p class="muted small above">“must” and “must not” are gates; “prefer” weighs. Values are parted by commas: ISIC codes (C, 23, 2310), country codes (SE), postal areas, technologies. A place is latitude, longitude; its radius stands under From. Affordable: put price ÷ usual share of spending under From of the revenue.</p>
            <h2 class="head gap">Kinds of signal: what counts, and how it ages</h2>
            <div class="scroll"><table class="rules tiny"><thead><tr><th>Kind</th><th>Counts</th><th>Weight</th><th>Rises, days</th><th>Holds, days</th><th>Half-life, days</th></tr></thead>
                @foreach ($kinds as $kind)
                    @php $rule = $catalogue->of($kind); $base = $standard->of($kind); @endphp
                    <tr class="{{ old("kinds.{$kind->value}.counts", $rule->counts->value) }}"><td>{{ $kind->label() }}@if ($rule != $base) <span class="pine small" title="The standard: weight {{ $base->weight }}, rises {{ $base->ramp }}, holds {{ $base->hold }}, half-life {{ $base->halfLife }}, counts {{ $base->counts->value }}">changed</span>@endif</td>
                        <td><select name="kinds[{{ $kind->value }}][counts]" aria-label="{{ $kind->label() }} counts">@foreach (Counts::cases() as $counts)<option value="{{ $counts->value }}" @selected(old("kinds.{$kind->value}.counts", $rule->counts->value) === $counts->value)>{{ $counts->value }}</option>@endforeach</select></td>
                        @foreach (['weight' => [$rule->weight, 'weight', '0.01', 1], 'ramp' => [$rule->ramp, 'days of rising', '1', 365], 'hold' => [$rule->hold, 'days of holding', '1', 730], 'half_life' => [$rule->halfLife, 'half-life', '0.5', 1500]] as $field => [$value, $label, $step, $max])
                            <td><input type="number" name="kinds[{{ $kind->value }}][{{ $field }}]" value="{{ old("kinds.{$kind->value}.$field", $value) }}" step="any" min="0" max="{{ $max }}" required aria-label="{{ $label }} of {{ $kind->label() }}"></td>
                        @endforeach</tr>
                @endforeach</table></div>
            <h2 class="head gap">Buyer roles: who takes part in buying</h2>
            <div id="buyer-roles">@foreach (old('criteria') !== null ? array_values(old('buyer_roles', [])) : $rules->buyer_roles as $i => $row)@include('rules.buyer-role', ['i' => $i, 'row' => $row])@endforeach</div>
            <template id="buyer-roles-new">@include('rules.buyer-role', ['i' => 'NEW', 'row' => []])</template>
            <p class="above"><button class="button" type="button" data-add="buyer-roles">Add a buyer role</button></p>
            <h2 class="head gap">Roles of interest: openings, and whom they concern</h2>
            <div id="interests">@foreach (old('criteria') !== null ? array_values(old('roles_of_interest', [])) : $rules->roles_of_interest as $i => $row)@include('rules.interest', ['i' => $i, 'row' => $row])@endforeach</div>
            <template id="interests-new">@include('rules.interest', ['i' => 'NEW', 'row' => []])</template>
            <p class="above"><button class="button" type="button" data-add="interests">Add a role of interest</button></p>
        </div>
        <div class="aside stack">
            <div class="card stack">
                <h2>What would move</h2>
                <div id="moves" aria-live="polite"><p class="soft">Change something, and the ten biggest moves stand here before anything is saved.</p></div>
                <label class="field"><span>Why this change</span><input name="note" maxlength="190" value="{{ old('note') }}"></label>
                <div class="buttons"><button class="button primary">Save as version {{ $newest + 1 }}</button><button class="button" type="button" hx-post="{{ route('rules.preview', $editing) }}" hx-target="#moves">Show the moves</button></div>
            </div>
            <details class="card" @if ($old) open @endif><summary><strong>Versions</strong></summary>
                <ul class="plain above">@foreach ($versions as $version)<li class="ruled"><a href="{{ route('rules.version', $version) }}">Version {{ $version->version }}</a> <span class="muted small">{{ $version->author?->name }}, <x-ago :time="$version->created_at" />@if ($version->note): {{ $version->note }}@endif</span></li>@endforeach</ul></details>
        </div>
    </form>
    <section class="gap measure">
        <h2 class="head">The offer</h2>
        <form method="post" action="{{ route('offers.update', $editing) }}" class="stack above">@csrf @method('PATCH')
            <div class="grid"><label class="field"><span>Name</span><input name="name" required maxlength="60" value="{{ old('name', $editing->name) }}"></label><label class="field"><span>What it is</span><input name="about" maxlength="190" value="{{ old('about', $editing->about) }}"></label></div>
            <label class="field"><span>The question with which a draft ends</span><input name="question" maxlength="190" placeholder="May I ask who looks after that with you?" value="{{ old('question', $editing->question) }}"></label>
            <x-wrong :for="['name', 'about', 'question']" />
            <button class="button">Keep the offer</button>
        </form>
    </section>
    <section class="gap measure" id="titles">
        <h2 class="head">Titles that cannot be read</h2>
        <p class="soft around">{{ $unread === 0 ? 'All titles are read.' : App\View\Say::count($unread, 'contact').' '.($unread === 1 ? 'has' : 'have').' a title that no dictionary knows. What you teach holds everywhere, at once, and can be taken back.' }}</p>
        <x-wrong for="seniority" />
        @foreach ($titles as $row)
            <details class="point"><summary style="padding-left: 14px"><span>{{ $row->title }}</span><span class="muted">{{ number_format($row->n) }}</span></summary>@include('rules.teach', ['text' => $row->title, 'reading' => \Luftig\Core\Person\Title::unknown()])</details>
        @endforeach
        @if ($lessons->isNotEmpty())
            <h3 class="above">Taught</h3>
            @foreach ($lessons as $lesson)<form method="post" action="{{ route('titles.destroy', $lesson) }}" class="line ruled">@csrf @method('DELETE')<span>“{{ $lesson->title }}” is {{ \Luftig\Core\Person\Title::unpacked($lesson->reading)->inWords() }} <span class="muted small">{{ $lesson->user->name ?? 'somebody' }}</span></span><button class="button slight small" aria-label="Take back the lesson on {{ $lesson->title }}">Take back</button></form>@endforeach
        @endif
    </section>
</x-layout>
