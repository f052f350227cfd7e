@props(['for'])
@foreach ((array) $for as $field)
    @error($field)<p class="wrong" role="alert">{{ $message }}</p>@enderror
@endforeach
