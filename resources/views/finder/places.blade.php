@foreach ($places as $name => $about)
    <button class="dropdown-item rounded" type="button" role="option" aria-selected="false"
        id="place-{{ $loop->index }}" tabindex="-1"
        data-value="{{ $name }}">{{ $name }} <span class="small text-body-secondary">{{ $about }}</span></button>
@endforeach
