@use('Luftig\Core\Finder\Field')
@use('Luftig\Core\Finder\Test')
@use('App\Finder\StepForm')
@php
    $given = $step?->given ?? [];
    $name = fn (string $key): string => "c[$i][$key]";
    $values = $step?->values() ?? [];
    $fixed = match ($field) {
        Field::Work => ['new' => 'new', 'kept' => 'kept', 'in_work' => 'in work'],
        Field::ListOf => $lists->mapWithKeys(fn ($list) => [(string) $list->id => $list->name])->all(),
        Field::Seniority => collect(array_reverse(\Luftig\Core\Person\Seniority::cases()))->mapWithKeys(fn ($one) => [$one->value => $one->label()])->all(),
        Field::BusinessFunction => collect(\Luftig\Core\Person\BusinessFunction::cases())->mapWithKeys(fn ($one) => [$one->value => $one->label()])->all(),
        Field::Part => collect(\Luftig\Core\Priority\Part::cases())->mapWithKeys(fn ($one) => [$one->value => $one->label()])->put('none', 'none')->all(),
        Field::Signal => collect(\Luftig\Core\Signal\Kind::cases())->mapWithKeys(fn ($one) => [$one->value => $one->label()])->all(),
        Field::State => collect(\App\Standings\StandingState::cases())->mapWithKeys(fn ($one) => [$one->value => lcfirst($one->label())])->all(),
        Field::Arrival => collect(['joined', 'promoted', 'moved', 'unknown', 'settled'])->mapWithKeys(fn ($one) => [$one => StepForm::label($field, $one)])->all(),
        Field::Channel => collect(['email_checked', 'email', 'email_dead', 'direct_phone', 'switchboard', 'social', 'asked'])->mapWithKeys(fn ($one) => [$one => StepForm::label($field, $one)])->all(),
        default => null,
    };
@endphp
<input type="hidden" name="{{ $name('f') }}" value="{{ $field->value }}">
@if ($field === Field::KeptOut)
    <p class="small soft">Customers, competitors, agencies, and who stands on the keep-out.</p>
@elseif ($fixed !== null)
    <fieldset class="step-values"><legend class="visually-hidden">{{ $field->label() }}</legend>
        @forelse ($fixed as $value => $label)<label><input type="checkbox" name="{{ $name('v') }}[]" value="{{ $value }}" @checked(in_array((string) $value, $values, true))> {{ $label }}</label>@empty<p class="small soft">There is none yet.</p>@endforelse
    </fieldset>
@elseif ($field->test() === Test::Any)
    <label class="field"><span>{{ ucfirst($field->label()) }}, parted by commas or lines</span><textarea name="{{ $name('v') }}" rows="2" maxlength="4000" required data-first>{{ $given['v'] ?? '' }}</textarea></label>
@elseif ($field->test() === Test::Range)
    <div style="display: grid; grid-template-columns: 1fr 1fr; gap: 8px"><label class="field"><span>From</span><input name="{{ $name('lo') }}" value="{{ $given['lo'] ?? '' }}" inputmode="decimal" data-first></label><label class="field"><span>To</span><input name="{{ $name('hi') }}" value="{{ $given['hi'] ?? '' }}" inputmode="decimal"></label></div>
@elseif ($field->test() === Test::Near)
    <div style="display: grid; grid-template-columns: 1fr 80px; gap: 8px"><label class="field"><span>Place, or latitude, longitude</span><input name="{{ $name('q') }}" value="{{ $given['q'] ?? '' }}" required placeholder="Halden, Norway" data-first></label><label class="field"><span>km</span><input name="{{ $name('km') }}" value="{{ $given['km'] ?? '' }}" inputmode="decimal" required></label></div>
@else
    <label class="field"><span>{{ ucfirst($field->label()) }}, as a query</span><input name="{{ $name('q') }}" value="{{ $given['q'] ?? '' }}" required maxlength="2000" placeholder="maintenance OR energy -assistant" data-first></label>
@endif
<div class="step-values"><label><input type="checkbox" name="{{ $name('x') }}" value="1" @checked($step?->excludes())> exclude these</label>
    @if (! in_array($field->test(), [Test::Sets], true))<label><input type="checkbox" name="{{ $name('u') }}" value="1" @checked($step?->keepsUnknown())> keep those of whom it is not known</label>@endif</div>
