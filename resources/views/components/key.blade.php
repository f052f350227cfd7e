{{-- Keys as they are pressed, parted by blanks; a word of several small letters is a word. --}}
@props(['of'])
@foreach (explode(' ', $of) as $key)@if (ctype_lower($key) && strlen($key) > 1) {{ $key }} @else<kbd>{{ $key }}</kbd>
    @endif @endforeach
