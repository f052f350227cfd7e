@props(['to', 'method' => 'post'])
<form method="{{ $method === 'get' ? 'get' : 'post' }}" action="{{ $to }}" {{ $attributes }}>
    @if ($method !== 'get')
        @csrf
        @if ($method !== 'post') @method($method) @endif
    @endif
    {{ $slot }}
</form>
