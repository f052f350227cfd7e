@props(['to', 'method' => 'post'])
<form method="{{ $method === 'get' ? 'get' : 'post' }}" action="{{ $to }}" {{ $attributes }}>
    @if ($method !== 'get')
        @csrf
        @if ($method !== 'post') @method($method) @else
            <input type="hidden" name="_once" value="{{ Str::random(12) }}">
        @endif
    @endif
    {{ $slot }}
</form>
