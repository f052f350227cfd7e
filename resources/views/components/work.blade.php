{{-- How far a piece of work is, with what one can do about it: the same for files, feeds, look-ups, the ranking. --}}
@props(['work', 'titled' => false])
<div {{ $attributes->class('vstack gap-2') }} data-work>
    @if ($titled)<h3 class="fs-6 mb-0">@if ($work->url)<a class="text-body breaks" href="{{ $work->url }}">{{
        $work->name }}</a>@else{{ $work->name }}@endif</h3>@endif
    <p class="text-body-tertiary mb-0">{{ $work->says }}</p>
    @if ($titled && $work->done)<p class="small text-body-secondary mb-0">{{ $work->done }}</p>@endif
    @if ($work->share !== null)<x-progress :share="$work->share" :label="$work->name"
        class="measure" />@endif
    @if ($work->stop || $work->goOn)
        <div class="hstack gap-2">
            @if ($work->stop)<x-form :to="$work->stop" :method="$work->method"><x-button :small="$titled"
                :aria-label="$titled ? 'Stop '.$work->name : null">Stop</x-button></x-form>@endif
            @if ($work->goOn)<x-form :to="$work->goOn" :method="$work->method"><x-button :small="$titled" kind="primary"
                :aria-label="$titled ? 'Go on with '.$work->name : null">Go on</x-button></x-form>@endif
        </div>
    @endif
</div>
