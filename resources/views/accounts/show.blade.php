@use('App\Support\Format')
<x-layout :title="$page->account->name" at="accounts">
    <div class="d-flex flex-wrap justify-content-between small">
        <x-back :to="$page->neighbours->back">{{ $page->neighbours->backTo }}</x-back>
        <p class="hstack gap-3 mb-2"><span class="text-body-secondary">{{ $page->neighbours->position() }}</span>
            @if ($page->neighbours->before())<a rel="prev" aria-keyshortcuts="ArrowLeft"
                href="{{ $page->neighbours->before() }}">←
                before</a>@endif
            @if ($page->neighbours->after())<a rel="next" aria-keyshortcuts="ArrowRight"
                href="{{ $page->neighbours->after() }}">next
                →</a>@endif</p>
    </div>
    <div class="row g-3">
        <div class="col-lg-7">
            <h1 class="breaks">{{ $page->account->name }}</h1>
            <p class="text-body-tertiary mt-2">{{ $page->about() }}</p>
            <x-tags :tags="$page->tags" subject="accounts" :record="$page->account->id" />
            @if ($page->state())
                <div class="hstack gap-2 mt-2"><strong>{{ $page->state() }}</strong>
                    @if ($page->looksLikeAgency())
                        <x-form :to="route('accounts.update', $page->account)" method="patch">
                            <x-button small kind="link" name="no_agency" value="1">It is no agency</x-button></x-form>
                    @endif</div>
            @endif
            @if ($page->decided())<p class="small text-body-secondary mt-1">{{ $page->decided() }}</p>@endif
        </div>
        @if ($page->standing)
            <div class="col-lg-5 hstack gap-3 align-items-start">
                <div class="text-center"><span class="font-figure fs-1
                    fw-bold">{{ Format::priority($page->standing->priority) }}</span><br>
                    <span class="small text-body-secondary">priority</span></div>
                <div class="flex-grow-1"><x-parts :standing="$page->standing" /></div>
            </div>
        @endif
    </div>
    @include('accounts.actions')
    @if ($page->ribbon)
        <div class="card p-2 mt-3 overflow-auto" tabindex="0" role="group" aria-label="Time"><x-ribbon
            :ribbon="$page->ribbon" :standing="$page->standing" /></div>
    @endif
    <div class="row g-4 mt-0">
        <div class="col-lg-4">
            @if ($page->group)<x-group :account="$page->account" :group="$page->group" />
            @else<x-empty>Not computed yet; that takes a few seconds.</x-empty>@endif
        </div>
        <div class="col-lg-5 vstack gap-4">
            @if ($page->ways)<div class="card card-body"><x-words :ways="$page->ways"
                :to="$page->addressee" /></div>@endif
            <x-section title="What happened">
                @can('update', $page->account)<x-button small kind="link" class="px-0 float-end"
                    opens="new-signal">Add a signal</x-button>@endcan
                @forelse ($page->happened() as $one)<x-happened :$one />@empty<x-empty>Nothing known
                    yet.</x-empty>@endforelse
                @if ($page->earlier()->isNotEmpty())
                    <x-more :says="$page->saysEarlier()" class="pt-2">
                        @foreach ($page->earlier() as $one)<x-happened :$one />@endforeach</x-more>
                @endif
            </x-section>
            <x-accounts.sought :sought="$page->sought()" />
            <x-accounts.growth :growth="$page->growth()" />
        </div>
        <div class="col-lg-3 vstack gap-4">@include('accounts.known')</div>
    </div>
    @include('accounts.new-person')
    @include('accounts.new-signal')
    <x-collect id="collect" title="Add {{ $page->account->name }} to a list" subject="accounts"
        :lists="$page->lists('accounts')" :only="[$page->account->id]" />
    @if ($page->people() !== [])
        <x-collect id="collect-people" title="Add people of {{ $page->account->name }} to a list" subject="contacts"
            :lists="$page->lists('contacts')" :people="$page->people()" />
    @endif
    <x-later :account="$page->account" :next="$page->next()" />
    <x-keep-out :account="$page->account" :next="$page->next()" />
</x-layout>
