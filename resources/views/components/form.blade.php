@use('App\Http\Middleware\OnceOnly')
@props(['to', 'method' => 'post'])
<form method="{{ $method === 'get' ? 'get' : 'post' }}" action="{{ $to }}" {{ $attributes }}>
    @if ($method !== 'get')
        @csrf
        @if ($method !== 'post') @method($method) @else
            <input type="hidden" name="{{ OnceOnly::FIELD }}" value="{{ Str::random(OnceOnly::LENGTH) }}">
        @endif
    @endif
    {{ $slot }}
</form>
