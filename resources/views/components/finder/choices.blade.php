@props(['name', 'label', 'choices', 'chosen'])
<fieldset class="step-values"><legend class="small soft">{{ ucfirst($label) }}</legend>
    @forelse ($choices as $value => $text)<label><input type="checkbox" name="{{ $name }}[]" value="{{ $value }}" @checked(in_array((string) $value, $chosen, true))> {{ $text }}</label>@empty<p class="small soft">There is none yet.</p>@endforelse
</fieldset>
