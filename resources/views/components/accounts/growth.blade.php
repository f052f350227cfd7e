{{-- How an account grows, all and by function. --}}
@use('App\View\Account\Growth')
@props(['growth'])
@unless ($growth->isEmpty())
    <x-section title="How it grows">
        <div class="row gx-3">
        @foreach ($growth->lines() as $line)
            <div @class(['py-2', $loop->first ? 'col-12' : 'col-6'])>
                <div class="hstack gap-2"><span>{{ $line['name'] }}</span><span
                    class="font-figure ms-auto">{{ $line['heads'] }}</span></div>
                <svg viewBox="0 0 {{ Growth::WIDTH }} {{ Growth::HEIGHT }}" width="100%" height="{{ Growth::HEIGHT }}"
                    preserveAspectRatio="none" role="img" aria-label="{{ $line['label'] }}" class="text-primary">
                    <polyline points="{{ $line['points'] }}" fill="none" stroke="currentColor" stroke-width="1.5"
                        vector-effect="non-scaling-stroke" /></svg>
                <p class="small text-body-secondary">{{ $line['says'] }}</p>
            </div>
        @endforeach
        </div>
    </x-section>
@endunless
