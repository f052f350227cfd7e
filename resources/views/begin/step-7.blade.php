<section class="card card-body vstack gap-3 align-items-start">
    <h2>Who works with you</h2>
    <p class="text-body-tertiary mb-0">Reps get a plan of their own, and no two write to one company on a day. Leaders
        who never sign in are named too: whom they know opens ways.</p>
    <ul class="list-unstyled mb-0 w-100">
        @foreach ($page->people() as $person)<li class="border-bottom py-2">{{ $person }}</li>@endforeach
    </ul>
    <div class="d-flex flex-wrap gap-2"><x-button kind="primary" :href="route('team.index')">Add somebody</x-button>
        <x-button href="/">Go to Today</x-button></div>
</section>
