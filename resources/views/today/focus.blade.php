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
        @if ($row->steps?->says())<p class="small" data-steps title="{{ $row->steps->why() }}">{{ $row->steps->says() }}
            <span class="text-body-tertiary">{{ $row->steps->hour() }}</span></p>@endif
        @if ($way = $page->wayIn())<p class="small text-body-tertiary" data-way>A way in, {{ $way->strength }}: {{
            $way->names() }}@if ($way->asks) · <a href="{{ $way->asks }}" aria-keyshortcuts="i">Ask for an
            introduction</a>@endif</p>@endif
        <x-words :ways="$page->ways" :to="$row->contact?->name()">
            @if ($row->reason)<a href="{{ route('reasons.show', $row->reason) }}">The reason is recorded</a>
            @else
                <x-form :to="route('reasons.propose', $row->standing->account_id)"><input type="hidden" name="words"
                    value="{{ $page->ways->words }}"><input type="hidden" name="contact"
                    value="{{ $row->contact?->id }}"><input type="hidden" name="angle" value="{{ $row->draft->angle
                    }}"><x-button kind="primary" key="r" data-record>Record the reason</x-button></x-form>
                <x-button small key="e" :href="$row->records()">Change it first</x-button>
            @endif
            @if ($row->otherwise())<x-button small key="w" :href="$row->otherwise()" hx-get="{{ $row->otherwise() }}"
                hx-target="#focus" hx-replace-url="true" hx-sync="#focus:replace">Another angle</x-button>@endif
        </x-words>
        @unless ($row->reason)<p class="small text-body-secondary">{{ $row->draft->angle }} · {{
            $row->draft->reads() }}{{ $row->language() }}</p>@endunless
        @if ($row->cost())<p class="small text-body-tertiary">{{ $row->cost() }}</p>@endif
        <div class="d-flex flex-wrap gap-2">
            <x-button small key="l" opens="later-{{ $row->standing->account_id }}">Later</x-button>
            <x-button small key="x" opens="out-{{ $row->standing->account_id }}">Keep out</x-button>
        </div>
        <p class="small text-body-secondary d-none d-lg-block"><x-key
            of="↑ ↓ move Enter open R reason E change W angle C copy L later X keep out" /></p>
    </section>
    <x-later :account="$row->standing->account" next="/" />
    <x-keep-out :account="$row->standing->account" next="/" />
@endif
