<x-layout :title="$page->item->title" at="intake">
    <x-back :to="route('feeds.show', $page->item->feed_id)">{{ $page->item->feed->name }}</x-back>
    <h1 class="breaks">{{ $page->item->title }}</h1>
    <p class="text-body-tertiary mt-2">{{ $page->about() }}@if ($page->item->link) ·
        <a href="{{ $page->item->link }}" rel="noreferrer noopener" target="_blank">source page</a>@endif</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-7 vstack gap-4">
            <x-section title="What became of it">
                <p class="py-2 breaks">{{ $page->outcome() }} @if ($page->item->account)<a
                    href="{{ route('accounts.show', $page->item->account_id) }}">{{ $page->item->account->name
                    }}</a>@endif</p>
                @foreach ($page->item->signals as $signal)
                    <p class="border-top py-2 breaks"><a href="{{ route('signals.show', $signal) }}">{{ $signal->title
                        }}</a><br><span class="small text-body-secondary">{{ ucfirst($signal->kind->label()) }},
                        {{ $signal->account->name }}</span></p>
                @endforeach
            </x-section>
            @if ($page->mentions() !== [])
                <x-section title="Whom it may be about">
                    @foreach ($page->mentions() as $one)
                        <div class="border-bottom py-2">
                            <p><a class="fw-semibold breaks"
                                href="{{ route('accounts.show', $one['mention']->account_id) }}">{{
                                $one['mention']->account->name }}</a></p>
                            <p class="small text-body-tertiary">{{ $one['says'] }}</p>
                            <x-feeds.decide :mention="$one['mention']" :open="$one['isOpen']" />
                        </div>
                    @endforeach
                </x-section>
            @endif
            <x-section title="As it came">
                <pre class="small mt-2 breaks" tabindex="0">{{ $page->raw() }}</pre>
            </x-section>
        </div>
        <div class="col-lg-5 vstack gap-4">
            <x-section title="As it was read">
                @foreach ($page->facts() as $label => $value)
                    <p class="border-bottom py-2 breaks"><span class="small text-body-secondary">{{ $label
                        }}</span><br>{{ $value }}</p>
                @endforeach
            </x-section>
            @foreach ($page->changes() as $change)
                <x-section :title="'Before '.$change['at']">
                    @foreach ($change['before'] as $label => $value)
                        <p class="border-bottom py-2 breaks"><span class="small text-body-secondary">{{ $label
                            }}</span><br>{{ $value }}</p>
                    @endforeach
                </x-section>
            @endforeach
        </div>
    </div>
</x-layout>
