@foreach ($values as $value => $label)
    <button class="dropdown-item rounded text-wrap" type="button" role="option" aria-selected="false" tabindex="-1"
        id="suggestion-{{ $loop->index }}" data-value="{{ $value }}" data-label="{{ $label }}">{{ $label }}</button>
@endforeach
