<x-layout :title="$page->title()" at="accounts">
    <x-back :to="route('accounts.show', $page->signal->account_id)">{{ $page->signal->account->name }}</x-back>
    <x-heading :title="$page->title()">
        <x-button kind="danger" opens="strike">Strike it out</x-button>
    </x-heading>
    <p class="text-body-tertiary mt-2">{{ $page->happened?->about }} · <x-ago
        :time="$page->signal->occurred_at" />@if ($page->signal->contact) · <a
        href="{{ route('contacts.show', $page->signal->contact_id) }}">{{ $page->signal->contact->name()
        }}</a>@endif</p>
    @if ($page->signal->quote)<blockquote class="measure">{{ $page->signal->quote }}</blockquote>@endif
    <div class="row g-4 mt-0">
        <div class="col-lg-7 vstack gap-4">
            <x-section title="What it rests on">
                @forelse ($page->sources() as $one)
                    <div class="border-bottom py-2">
                        <a class="fw-semibold breaks" href="{{ route('items.show', $one['item']) }}">{{
                            $one['item']->title }}</a>
                        <p class="small text-body-secondary breaks">{{ $one['says'] }}@if ($one['item']->link) · <a
                            href="{{ $one['item']->link }}" rel="noreferrer noopener" target="_blank">source
                            page</a>@endif</p>
                    </div>
                @empty<x-empty>{{ $page->rule() }} No feed tells of it.@if ($page->signal->link) <a
                    href="{{ $page->signal->link }}" rel="noreferrer noopener" target="_blank">Source
                    page</a>.@endif</x-empty>@endforelse
            </x-section>
            @if ($page->post())<p><a href="{{ $page->post() }}">Everyone under this post</a></p>@endif
            @if ($page->others()->isNotEmpty())
                <x-section title="Who else has it">
                    @foreach ($page->others() as $other)
                        <p class="border-bottom py-2"><a href="{{ route('signals.show', $other) }}">{{
                            $other->account->name }}</a> <span class="small text-body-secondary breaks">{{
                            $other->title }}</span></p>
                    @endforeach
                </x-section>
            @endif
        </div>
        <div class="col-lg-5">
            <x-section title="How it came about">
                <p class="border-bottom py-2">{{ $page->rule() }}</p>
                @foreach ($page->figures() as $label => $value)
                    <p class="border-bottom py-2"><span class="small text-body-secondary">{{ $label }}</span><br>{{
                        $value }}</p>
                @endforeach
            </x-section>
        </div>
    </div>
    <x-confirm id="strike" title="Strike out this signal?" :to="route('signals.destroy', $page->signal)"
        method="delete" does="Strike it out" kind="danger" :opens="$errors->has('reason')">
        <p class="text-body-tertiary">It counts no more, and the same sources do not bring it again. It can be taken
            back.</p>
        <x-field label="What is wrong with it" name="reason" required maxlength="255" :value="old('reason')"
            placeholder="it is about another firm of this name" />
    </x-confirm>
</x-layout>
