@use('App\Support\Format')
@if ($row = $page->focus)
    <section class="card card-body vstack gap-3" aria-label="{{ $row->standing->account->name }}"
        data-focused="{{ $row->standing->account_id }}">
        <div class="hstack align-items-start">
            <div>
                <h2 class="fs-4"><a class="text-body" href="{{ route('accounts.show',
                    $row->standing->account) }}">{{ $row->standing->account->name }}</a></h2>
                <p class="text-body-secondary">{{ $row->about() }}</p>
            </div>
            <button class="btn-close d-lg-none ms-auto" type="button" data-bs-dismiss="offcanvas"
                data-bs-target="#focus" aria-label="Close"></button>
        </div>
        <x-parts :standing="$row->standing" />
        <div>
            <h3 class="small text-body-secondary">Why now</h3>
            @forelse ($row->why() as $line)
                <x-share :$line />
            @empty
                <p class="text-body-tertiary">Nothing happened there lately. It fits, so a reason can start from what
                    they are.</p>
            @endforelse
        </div>
        @if ($row->others !== [])
            <p class="small text-body-tertiary" data-others>Also to contact there: @foreach ($row->others as $other)
                <a href="{{ $row->addressTo($other) }}" hx-get="{{ $row->addressTo($other) }}" hx-target="#focus"
                    hx-replace-url="true" hx-sync="#focus:replace"
                    title="Words for {{ $other->name() }} instead">{{ $other->name() }}</a>@if ($other->title),
                {{ $other->title }}@endif @unless ($loop->last) · @endunless @endforeach</p>
        @endif
        <x-words :ways="$page->ways" :to="$row->contact?->name()">
            <x-button kind="primary" key="r" :href="$row->records()">Record the reason</x-button>
            @if ($row->otherwise())<x-button small key="w" :href="$row->otherwise()" hx-get="{{ $row->otherwise() }}"
                hx-target="#focus" hx-replace-url="true" hx-sync="#focus:replace">Another angle</x-button>@endif
        </x-words>
        <p class="small text-body-secondary">{{ $row->draft->angle }} · {{ $row->draft->reads() }}{{
            $row->language() }}</p>
        <div class="d-flex flex-wrap gap-2">
            <x-button small key="l" opens="later-{{ $row->standing->account_id }}">Later</x-button>
            <x-button small key="x" opens="out-{{ $row->standing->account_id }}">Keep out</x-button>
        </div>
        <p class="small text-body-secondary d-none d-lg-block"><x-key
            of="↑ ↓ move Enter open R reason W angle C copy L later X keep out" /></p>
    </section>
    <x-later :account="$row->standing->account" next="/" />
    <x-keep-out :account="$row->standing->account" next="/" />
@endif
