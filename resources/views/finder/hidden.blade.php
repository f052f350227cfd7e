<input type="hidden" name="on" value="{{ $search->subject->value }}">
@forelse ($steps as $i => $step)
    @foreach ($step->given as $key => $value)<input type="hidden" name="c[{{ $i }}][{{ $key }}]" value="{{ $value }}">@endforeach
@empty
    <input type="hidden" name="c[0]" value="">
@endforelse
