<section class="card card-body vstack gap-3 align-items-start">
    <h2>The first ten</h2>
    @if ($page->first() === [])<p class="text-body-tertiary">{{ $page->why()
        ?? 'Nobody in reach yet: bring contacts of the accounts that are ranked.' }}</p>
    @else
        <ol class="list-unstyled mb-0 w-100">
            @foreach ($page->first() as $row)
                <li class="border-bottom py-2"><a class="fw-semibold text-body"
                    href="{{ route('accounts.show', $row->standing->account_id) }}">{{
                        $row->draft->headline() }}</a><br>
                    <span class="small">@if ($row->contact)<strong>{{ $row->contact->name() }}</strong>,
                        {{ $row->contact->title ?? 'title unknown' }} · @endif
                        {{ $row->standing->account->name }}</span></li>
            @endforeach
        </ol>
    @endif
    <div class="d-flex flex-wrap gap-2"><x-button kind="primary" href="/">Go to Today</x-button>
        <x-button :href="route('begin', ['step' => 6])">Add sources</x-button>
        <x-button :href="route('rules')">Rules</x-button><x-button :href="route('intake.index')">Intake</x-button></div>
</section>
