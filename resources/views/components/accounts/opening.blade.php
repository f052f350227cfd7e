@props(['one'])
<p class="border-bottom py-2 breaks">@if ($one['item'])<a class="text-body"
    href="{{ route('items.show', $one['item']) }}">{{ $one['title'] }}</a>@else{{ $one['title'] }}@endif<br>
    <span class="small text-body-secondary">{{ $one['about'] }}
        @if ($one['lead'])· <a href="{{ $one['lead'] }}">add them as a contact</a>@endif</span></p>
