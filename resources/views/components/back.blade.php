@props(['to'])
<p class="small mb-2"><a href="{{ $to }}" data-back>← {{ $slot }}</a></p>
