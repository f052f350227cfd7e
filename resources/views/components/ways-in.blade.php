{{-- Ways to a contact through people; each opens into who knows whom from where. --}}
@props(['ways', 'asked' => []])
@forelse ($ways as $way)
    <details class="border-bottom py-2">
        <summary><span class="d-inline-flex w-90 align-middle gap-2"><span class="breaks">{{ $way->names() }}</span>
            <span class="ms-auto fw-semibold text-nowrap">{{ $way->strength }}</span></span></summary>
        <ol class="small text-body-secondary mb-1 mt-1 ps-3">
            @foreach ($way->steps as $step)
                @if ($step['why'])<li>{{ $step['name'] }}: {{ $step['why'] }} ({{ $step['known'] }})</li>@endif
            @endforeach
        </ol>
        @if ($way->asks)<x-button small :href="$way->asks">Ask for an introduction</x-button>@endif
    </details>
@empty<p class="text-body-tertiary py-2">Nobody of us knows a way to them.</p>@endforelse
@foreach ($asked as $one)<p class="small py-1 mb-0"><a href="{{ $one['url'] }}">{{ $one['says'] }}</a></p>@endforeach
