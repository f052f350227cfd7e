<x-plain title="{{ $page->ask->user->name }} asks for an introduction to {{ $page->contact->name() }}">
    <p class="text-body-tertiary">{{ $page->contact->account->name }}</p>
    @if (session('said'))<p role="status"><strong>{{ session('said') }}</strong></p>@endif
    <p class="lines breaks">{{ $page->request }}</p>
    <h2>What you could pass on</h2>
    <p class="card card-body lines breaks">{{ $page->forward }}</p>
    @if ($isAnswered)<p>Your answer: <strong>{{ $page->ask->state->label() }}</strong>. You may change it.</p>@endif
    <form method="post" action="{{ $page->address() }}" class="vstack gap-3 mt-3">
        @csrf
        <x-field label="A word to {{ $page->ask->user->name }}, if you like" name="answer" maxlength="1000"
            :value="$page->ask->answer" />
        <div class="d-flex flex-wrap gap-2">
            <x-button kind="primary" name="state" value="passed_on">I passed it on</x-button>
            <x-button name="state" value="agreed">I will</x-button>
            <x-button name="state" value="declined">Rather not</x-button>
        </div>
    </form>
</x-plain>
