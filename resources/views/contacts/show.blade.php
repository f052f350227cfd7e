@use('App\Support\Format')
<x-layout :title="$page->contact->name()" at="contacts">
    <x-back :to="route('accounts.show', $page->account).'#group'">{{ $page->account->name }}</x-back>
    <div class="row g-3">
        <div class="col-lg-7">
            <h1 class="breaks">{{ $page->contact->name() }}</h1>
            <p class="text-body-tertiary mt-2">{{ $page->contact->title ?? 'title unknown' }} ·
                <a href="{{ route('accounts.show',
                    $page->account) }}">{{ $page->account->name }}</a>@if ($page->about()) ·
                    {{ $page->about() }}@endif</p>
            <p class="small text-body-secondary">{{ $page->readAs() }}@if ($page->times->arrival) ·
                <span class="text-primary">{{ $page->times->arrival }}</span>@endif</p>
            <x-tags :tags="$page->tags" subject="contacts" :record="$page->contact->id" />
            @if ($page->isOut())<p class="mt-2"><strong>Kept out</strong>: {{ $page->isOut() }}</p>@endif
        </div>
        @if ($page->row)
            <div class="col-lg-5 d-flex gap-4 align-items-center justify-content-lg-end">
                <div><span class="font-figure fs-1
                    fw-bold">{{ Format::priority($page->row->ranked?->priority) }}</span><br>
                    <span class="small text-body-secondary">priority</span></div>
                <div><span class="font-figure fs-4 fw-semibold">{{ $page->part() }}</span><br>
                    <span class="small text-body-secondary">{{ $page->partBy() }}</span></div>
                <div><span class="font-figure fs-4 fw-semibold">{{ Format::part($page->row->reach->access) }}</span><br>
                    <span class="small text-body-secondary">Access</span></div>
            </div>
        @endif
    </div>
    @include('contacts.actions')
    <div class="row g-4 mt-0">
        <div class="col-lg-4 vstack gap-4">
            @if ($page->ways)<div class="card card-body"><x-words :ways="$page->ways"
                :to="$page->contact->first_name" /></div>@endif
            <x-section title="Why this priority">
                @if ($page->points)<x-points :lines="$page->points->lines()" :total="$page->points->total()"
                    :remark="$page->points->remark()" />
                @else<p class="text-body-tertiary py-2">{{ $page->whyNot() }}</p>@endif
                @if ($page->mayTeach())
                    <x-more says="Read wrongly? Teach this title" :open="$page->title->isUnknown()" class="mt-2">
                        <x-teach :text="$page->contact->title" :reading="$page->title" /></x-more>
                @endif
            </x-section>
        </div>
        <div class="col-lg-5 vstack gap-4">
            <x-section title="What happened">
                @forelse ($page->happened as $one)<x-happened :$one />
                @empty<p class="text-body-tertiary py-2">No signal is about this person.</p>@endforelse
            </x-section>
            <x-section title="Positions">@include('contacts.positions')</x-section>
        </div>
        <div class="col-lg-3 vstack gap-4">@include('contacts.known')</div>
    </div>
    @include('contacts.dialogs')
</x-layout>
