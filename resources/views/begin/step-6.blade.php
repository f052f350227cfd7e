<section class="card card-body vstack gap-3 align-items-start">
    <h2>Sources that are asked by themselves</h2>
    <p class="text-body-tertiary mb-0">Files tell of the day they were made. Job boards, papers and registers that speak
        an open format are asked every half hour or day, and a program of yours can post what it sees: so that there is
        something new each morning.</p>
    @if (($feeds = $page->feeds()) !== [])
        <ul class="list-unstyled mb-0 w-100">
            @foreach ($feeds as $line)
                <li class="border-bottom py-2"><a class="fw-semibold" href="{{ route('feeds.show', $line->feed) }}">{{
                    $line->feed->name }}</a> <span class="text-body-secondary">{{ $line->state() }}</span></li>
            @endforeach
        </ul>
    @endif
    <div class="d-flex flex-wrap gap-2"><x-button kind="primary" :href="route('feeds.create')">Add a feed</x-button>
        <x-button :href="route('webhooks.create')">Add a webhook</x-button>
        <x-button :href="route('begin', ['step' => 7])">Next: who works with you</x-button></div>
</section>
