@props(['says', 'open' => false])
<details @if ($open) open @endif {{ $attributes }}>
    <summary class="text-primary">{{ $says }}</summary>
    {{ $slot }}
</details>
