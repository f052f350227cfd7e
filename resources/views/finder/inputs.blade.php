@use('Luftig\Core\Finder\Field')
@use('Luftig\Core\Finder\Passage')
@use('Luftig\Core\Finder\Test')
@use('App\Finder\StepForm')
@php
    $given = $step?->given ?? [];
    $name = fn (string $key): string => "c[$i][$key]";
    $choices = $options->of($field);
@endphp
<input type="hidden" name="{{ $name('f') }}" value="{{ $field->value }}">
@if ($field === Field::KeptOut)
    <p class="small soft">Customers, competitors, agencies, and who stands on the keep-out.</p>
@elseif ($field === Field::Event)
    @include('finder.inputs.event')
@elseif ($field === Field::Before)
    @include('finder.inputs.before')
@elseif ($field === Field::Reach)
    @include('finder.inputs.reach')
@elseif ($field === Field::Spending)
    <div class="pair"><x-finder.input :name="$name('lo')" label="Price" :value="$given['lo'] ?? ''" required first /><x-finder.currency :name="$name('cur')" :value="$given['cur'] ?? 'EUR'" /></div>
    <x-finder.input :name="$name('w')" label="Share of revenue that is usually spent on it, in %" :value="$given['w'] ?? ''" required />
@elseif ($choices !== null)
    <x-finder.choices :name="$name('v')" :label="$field->label()" :choices="$choices" :chosen="$step?->values() ?? []" />
@elseif ($field->test() === Test::Any)
    @if ($field === Field::Attribute)
        <label class="field"><span>Attribute</span><select name="{{ $name('w') }}" required>@foreach ($options->which($field) as $which)<option @selected($which === mb_strtolower($given['w'] ?? ''))>{{ $which }}</option>@endforeach</select></label>
    @endif
    <label class="field"><span>{{ $field === Field::Attribute ? 'Values; none: any' : ucfirst($field->label()) }}, parted by commas or lines</span><textarea name="{{ $name('v') }}" rows="2" @required($field !== Field::Attribute) data-first>{{ App\Finder\Pasted::text($given['v'] ?? '') }}</textarea></label>
    @if ($field === Field::Technology)<label><input type="checkbox" name="{{ $name('all') }}" value="1" @checked(($given['all'] ?? '') === '1')> all of them together</label>@endif
@elseif ($field->test() === Test::Range)
    @if ($field === Field::KnownContacts && $options->which($field) !== [])
        <label class="field"><span>In the buyer role</span><select name="{{ $name('w') }}"><option value="">in any or none</option>@foreach ($options->which($field) as $which)<option @selected($which === mb_strtolower($given['w'] ?? ''))>{{ $which }}</option>@endforeach</select></label>
    @endif
    <div class="pair"><x-finder.input :name="$name('lo')" label="From" :value="$given['lo'] ?? ''" first /><x-finder.input :name="$name('hi')" label="To" :value="$given['hi'] ?? ''" /></div>
    @if ($field === Field::Revenue)<x-finder.currency :name="$name('cur')" :value="$given['cur'] ?? 'EUR'" />@endif
@elseif ($field->test() === Test::Near)
    <div class="pair place"><label class="field"><span>Place, or latitude, longitude</span><input name="{{ $name('q') }}" value="{{ $given['q'] ?? '' }}" required autocomplete="off" placeholder="Halden, Norway" list="places" hx-get="{{ route('finder.places') }}" hx-trigger="input changed delay:120ms" hx-target="#places" data-first></label><x-finder.input :name="$name('km')" label="km" :value="$given['km'] ?? ''" required /></div>
    <datalist id="places"></datalist>
@else
    <x-query lines :name="$name('q')" :label="ucfirst($field->label()).', as a query, or phrases, one a line'" :value="App\Finder\Pasted::text($given['q'] ?? '')" placeholder="maintenance OR energy -assistant" required first />
    @if ($field === Field::Words)
        @php $passages = Passage::named($given['w'] ?? '') ?: Passage::cases(); @endphp
        <fieldset class="step-values"><legend class="small soft">Looked for in</legend>
            @foreach (Passage::cases() as $passage)<label><input type="checkbox" name="{{ $name('w') }}[]" value="{{ $passage->value }}" @checked(in_array($passage, $passages, true))> {{ $passage->label() }}</label>@endforeach
        </fieldset>
    @endif
@endif
@if ($field->isOfSite())
    <label class="field"><span>Of</span><select name="{{ $name('w') }}"><option value="">the headquarters</option><option value="any" @selected(($given['w'] ?? '') === 'any')>any site</option></select></label>
@endif
<div class="step-flags"><label><input type="checkbox" name="{{ $name('x') }}" value="1" @checked($step?->excludes())> exclude these</label>
    @if ($field->test() !== Test::Sets)<label><input type="checkbox" name="{{ $name('u') }}" value="1" @checked($step?->keepsUnknown())> keep those of whom it is not known</label>@endif</div>
