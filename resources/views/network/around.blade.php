<x-layout title="Around {{ $page->contact->name() }}" at="network">
    <x-back :to="route('contacts.show', $page->contact)">{{ $page->contact->name() }}</x-back>
    <x-heading title="Around {{ $page->contact->name() }}" :about="$page->isEmpty() ? '' : $page->about()" />
    @if ($page->isEmpty())<x-empty>Nobody of us knows them, and no contact who does is known. Bring address books under
        Intake, or say under Network where you worked and studied.</x-empty>
    @else
        <div class="table-responsive mt-3">
            <svg viewBox="0 0 960 {{ $page->height() }}" width="960" height="{{ $page->height() }}" role="group"
                aria-label="Who knows {{ $page->contact->name() }}, in three columns: of us, of contacts, and they">
                @foreach ($page->heads() as $head)<text x="{{ $head['x'] }}" y="14"
                    text-anchor="{{ $head['anchor'] }}" font-size="12" fill="currentColor"
                    class="text-body-secondary">{{ $head['says'] }}</text>@endforeach
                @foreach ($page->lines() as $line)<line x1="{{ $line['x1'] }}" y1="{{ $line['y1'] }}"
                    x2="{{ $line['x2'] }}" y2="{{ $line['y2'] }}" stroke="currentColor" class="text-primary"
                    stroke-width="{{ $line['width'] }}" stroke-opacity=".55"><title>{{ $line['says'] }}</title></line>
                @endforeach
                @foreach ($page->people() as $one)
                    @if ($one['url'])<a href="{{ $one['url'] }}">@endif<text x="{{ $one['x'] }}" y="{{ $one['y'] + 2 }}"
                        text-anchor="{{ $one['anchor'] }}" font-size="14" font-weight="600"
                        fill="currentColor">{{ $one['name'] }}</text>@if ($one['url'])</a>@endif
                    <text x="{{ $one['x'] }}" y="{{ $one['y'] + 16 }}" text-anchor="{{ $one['anchor'] }}" font-size="11"
                        fill="currentColor" class="text-body-secondary">{{ $one['about'] }}</text>
                @endforeach
            </svg>
        </div>
        <x-section title="In words" class="mt-3">
            @foreach ($page->sentences() as $sentence)<p class="border-bottom py-2 mb-0">{{ $sentence }}</p>@endforeach
        </x-section>
    @endif
</x-layout>
