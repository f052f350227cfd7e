{{-- What is known, each with what it is from where that differs. --}}
@props(['facts'])
<dl {{ $attributes->class('mb-0 vstack gap-2') }}>
    @foreach ($facts as $name => $value)
        <div><dt class="small text-body-secondary">{{ $name }}</dt>
            <dd class="mb-0 breaks">{{ Arr::first(Arr::wrap($value)) }}@if (is_array($value))<br><span
                class="small text-body-secondary">{{ $value[1] }}</span>@endif</dd></div>
    @endforeach
</dl>
