@props(['for'])
@foreach ((array) $for as $field)
    @foreach ($errors->get($field) as $messages)
        @foreach ((array) $messages as $message)<p class="invalid-feedback d-block mt-1 mb-0"
            role="alert">{{ $message }}</p>@endforeach
    @endforeach
@endforeach
