<div class="sticky-lg-top pt-lg-3 vstack gap-3">
    <section class="card card-body vstack gap-3">
        <h2>What would move</h2>
        <div id="moves" aria-live="polite"><p class="text-body-tertiary">Change something, and the ten biggest moves
            stand here before anything is
            saved.</p></div>
        <x-field label="Why this change" name="note" maxlength="190" :value="old('note')" />
        <div class="d-flex flex-wrap gap-2"><x-button kind="primary">Save as version {{ $page->newest + 1 }}</x-button>
            <x-button type="button" hx-post="{{ route('rules.preview', $page->offer) }}" hx-target="#moves">Show the
                moves</x-button></div>
    </section>
    <x-more says="Versions" class="card card-body" :open="$page->isOld()">
        <ul class="list-unstyled mb-0 mt-2">
            @foreach ($page->versions() as $version)
                <li class="border-top py-2"><a href="{{ route('rules.version', $version) }}">Version
                    {{ $version->version }}</a>
                    <span class="small text-body-secondary">{{ $version->author?->name }}, <x-ago
                        :time="$version->created_at" />@if ($version->note):
                        {{ $version->note }}@endif</span></li>
            @endforeach
        </ul>
    </x-more>
</div>
