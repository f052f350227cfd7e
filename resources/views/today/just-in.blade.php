{{-- What came in just now; asked for anew each minute while Today is open. --}}
<div id="just-in" hx-get="{{ route('alerts.just-in') }}" hx-trigger="every 60s" hx-swap="outerHTML" aria-live="polite">
    @if ($in->signals !== [])
        <section class="card card-body mt-3" aria-label="Just in">
            <div class="hstack gap-2"><h2 class="fs-6 mb-0">Just in</h2>
                <x-form :to="route('alerts.seen')" class="ms-auto"><input type="hidden" name="until"
                    value="{{ $in->until }}"><x-button small>Seen</x-button></x-form></div>
            <ul class="list-unstyled mb-0 mt-1">
                @foreach ($in->signals as $one)
                    <li class="py-1"><a class="text-body fw-semibold" href="{{ $one['url'] }}">{{ $one['account'] }}</a>
                        <span class="breaks">{{ $one['says'] }}</span>
                        <span class="small text-body-secondary">· {{ $one['at'] }}</span></li>
                @endforeach
            </ul>
            @if ($in->more > 0)<p class="small text-body-secondary mb-0">and <a
                href="{{ route('alerts.index') }}">{{ $in->more }} more</a></p>@endif
        </section>
    @endif
</div>
