<x-layout title="Under way" at="under-way">
    <x-heading title="Under way" about="what takes a while: leave it, it goes on" />
    <div id="under-way" class="vstack gap-4 mt-3 measure" aria-live="polite" @if ($page->moving !== [])
        hx-get="{{ route('under-way') }}" hx-trigger="every 2s" hx-select="#under-way" hx-swap="outerHTML" @endif>
        @if ($page->moving === [])<x-empty>Nothing goes on at present. What comes in as a file or from a feed, is looked
            up or computed, stands here meanwhile.</x-empty>
        @endif
        @foreach ($page->moving as $work)<x-work :$work titled class="card card-body" />@endforeach
        @if ($page->stopped !== [])
            <x-section title="Stopped half-way" about="what was done stays">
                @foreach ($page->stopped as $work)<x-work :$work titled class="border-bottom py-3" />@endforeach
            </x-section>
        @endif
        @if ($page->ended !== [])
            <x-section title="Ended lately">
                @foreach ($page->ended as $work)<x-work :$work titled class="border-bottom py-3" />@endforeach
            </x-section>
        @endif
    </div>
</x-layout>
