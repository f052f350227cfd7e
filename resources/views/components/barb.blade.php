<span class="barbed" title="{{ $title }}">
    <svg class="barb {{ $tone }}" width="46" height="13" viewBox="0 0 46 13" fill="none" stroke="currentColor"
        stroke-width="1.5"
        stroke-linecap="round" role="img" aria-label="{{ $says }}">
        @if ($hollow)<circle cx="3.5" cy="9.5" r="2.2"/>@else<circle cx="3.5" cy="9.5" r="2.6" fill="currentColor"
            stroke="none"/>@endif
        <path d="{{ $path() }}"/>
    </svg>
    @unless ($bare)<span class="text-truncate">{{ $text }}</span> <x-ago :time="$line->signal->occurred_at"
        short />@endunless
</span>
