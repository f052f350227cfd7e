{{-- As a link where it leads somewhere, else as a button; kind: primary, plain, danger, link. --}}
@props(['kind' => 'plain', 'href' => null, 'small' => false, 'key' => null, 'opens' => null, 'active' => false])
<{{ $href ? 'a' : 'button' }} {{ $attributes->class(['btn', "btn-$kind", 'btn-sm' => $small,
    'active' => $active])->merge(array_filter([
    'href' => $href, 'aria-keyshortcuts' => $key, 'aria-current' => $active ? 'page' : null, 'type' => $opens ? 'button'
        : null,
    'data-bs-toggle' => $opens ? 'modal' : null, 'data-bs-target' => $opens ? "#$opens" : null,
])) }}>{{ $slot }}</{{ $href ? 'a' : 'button' }}>
