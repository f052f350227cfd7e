@props(['line', 'text' => null, 'bare' => false])
@php
    /** @var \App\View\Line $line */
    $against = $line->push < 0;
    $rising = $line->stage === \Luftig\Core\Signal\Stage::Rising;
    $fading = $line->stage === \Luftig\Core\Signal\Stage::Fading;
    $strokes = match (true) { $line->freshPush() < .1 => 1, $line->freshPush() < .2 => 2, $line->freshPush() < .35 => 3, default => 4 };
    $end = 6 + 34 * max(.12, $line->freshness);
    $drawn = implode('', array_map(fn (int $i): string => 'M'.round(max(4, $end - 4.2 * $i), 1).' 9.5l3-7', range(0, $strokes - 1)));
    $says = ($against ? 'speaks against, ' : '').$line->stage->value.', push '.\App\View\Say::part($line->push);
@endphp
<span class="barbed" title="{{ $line->signal->title }} · {{ $says }}">
    <svg @class(['barb', 'fading' => $fading && ! $against, 'against' => $against]) width="46" height="13" viewBox="0 0 46 13" fill="none" stroke="currentColor" stroke-width="1.5" stroke-linecap="round" role="img" aria-label="{{ $says }}">
        @if ($rising)<circle cx="3.5" cy="9.5" r="2.2"/>@else<circle cx="3.5" cy="9.5" r="2.6" fill="currentColor" stroke="none"/>@endif
        <path d="M6 9.5H{{ round($end, 1) }}{{ $drawn }}"/>
    </svg>
    @unless ($bare)<span class="text">{{ $text ?? $line->signal->title }}</span><span class="muted nowrap">{{ \App\View\Say::short($line->signal->occurred_at) }}</span>@endunless
</span>
