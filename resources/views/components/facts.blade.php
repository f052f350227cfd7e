@props(['facts'])
<dl {{ $attributes->class('mb-0 vstack gap-2') }}>
    @foreach ($facts as $name => $value)
        <div><dt class="small text-body-secondary">{{ $name }}</dt><dd class="mb-0 breaks">{{ $value }}</dd></div>
    @endforeach
</dl>
