@props(['tabs', 'label'])
<nav class="nav nav-underline border-bottom mt-3" aria-label="{{ $label }}">
    @foreach ($tabs as $tab)
        <a @class(['nav-link', 'active' => $tab->current]) href="{{ $tab->url }}" @if ($tab->current)
            aria-current="page" @endif>
            {{ $tab->label }} <span class="text-body-secondary small">{{ $tab->count }}</span></a>
    @endforeach
</nav>
