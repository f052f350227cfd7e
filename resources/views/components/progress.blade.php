{{-- Bootstrap's, with a bar whose length is an attribute, since no page has styles of its own. --}}
@props(['share', 'label' => null, 'tone' => 'primary'])
<div {{ $attributes->class('progress') }} @if ($label) role="progressbar" aria-label="{{ $label }}" aria-valuemin="0"
    aria-valuemax="100"
    aria-valuenow="{{ App\Support\Format::hundredths($share) }}" @else aria-hidden="true" @endif>
    <svg class="progress-bar bg-{{ $tone }}" width="{{ App\Support\Format::hundredths($share) }}%" height="100%"></svg>
</div>
