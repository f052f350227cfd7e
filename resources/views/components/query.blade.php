@props(['name', 'label', 'value' => '', 'required' => false, 'first' => false, 'placeholder' => '', 'lines' => false, 'most' => 1000])
@php $asked = new Illuminate\View\ComponentAttributeBag(['hx-post' => route('reads'), 'hx-trigger' => 'input changed delay:150ms', 'hx-target' => 'next .reads', 'hx-swap' => 'innerHTML', 'hx-params' => $name, 'hx-sync' => 'this:replace', 'data-first' => $first, 'required' => $required]); @endphp
<div class="query"><label class="field"><span>{{ $label }}</span>
    @if ($lines)<textarea name="{{ $name }}" rows="1" placeholder="{{ $placeholder }}" data-sends {{ $asked }}>{{ $value }}</textarea>
    @else<input name="{{ $name }}" value="{{ $value }}" maxlength="{{ $most }}" placeholder="{{ $placeholder }}" {{ $asked }}>@endif</label>
<p class="small soft reads" aria-live="polite">@include('reads', ['text' => $value])</p></div>
