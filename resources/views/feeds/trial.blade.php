@if ($problem)
    <p class="alert alert-danger" role="alert">{{ $problem }}</p>
@elseif ($items === [])
    <x-empty>It answers, and there is nothing in it yet.</x-empty>
@else
    <x-section title="What its first items would become" about="nothing is kept">
        @foreach ($items as $one)
            <div class="border-bottom py-2">
                <p class="fw-semibold breaks">{{ $one->item->title }}</p>
                <p class="small text-body-secondary breaks">{{ $one->about() }}</p>
                <p class="small breaks"><span class="fw-semibold">{{ $one->state() }}</span>@if ($one->item->account)
                    · {{ $one->item->account->name }}@endif</p>
                <p class="small text-body-tertiary breaks">{{ $one->outcome() }}</p>
            </div>
        @endforeach
    </x-section>
@endif
