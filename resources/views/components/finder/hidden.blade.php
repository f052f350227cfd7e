{{-- The steps of a search as a form sends them along. --}}
@props(['subject', 'steps'])
<input type="hidden" name="on" value="{{ $subject->value }}">
@forelse ($steps as $i => $step)
    @foreach ($step->given as $key => $value)<input type="hidden" name="c[{{ $i }}][{{ $key }}]"
        value="{{ $value }}">@endforeach
@empty
    <input type="hidden" name="c[]" value="">
@endforelse
