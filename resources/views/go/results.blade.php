@forelse ($found as $one)
    <a class="list-group-item list-group-item-action hstack gap-3" role="option" aria-selected="false"
        id="found-{{ $loop->index }}"
        href="{{ $one['url'] }}"><span>{{ $one['name'] }} <span
            class="text-body-tertiary">{{ $one['title'] }}</span></span>
        <span class="ms-auto small text-body-secondary">{{ $one['about'] }}</span></a>
@empty
    <p class="text-body-secondary px-2">Nothing is called “{{ $text }}”.</p>
@endforelse
