<x-layout title="An introduction to {{ $page->contact->name() }}" at="network">
    <x-back :to="route('network')">Network</x-back>
    <h1 class="breaks">{{ $page->introducer() }}, asked for an introduction to <a class="text-body"
        href="{{ route('contacts.show', $page->contact) }}">{{ $page->contact->name() }}</a></h1>
    <p class="text-body-tertiary mt-1">{{ $page->way() }}, {{ $page->contact->account->name }}</p>
    <p class="mt-2"><strong>{{ $page->state() }}</strong>
        @if ($page->ask->answer) “{{ $page->ask->answer }}”@endif</p>
    @if ($page->isHopeless())
        <p class="measure">No answer after two reminders. Take it as none, and <a
            href="{{ route('contacts.show', $page->contact) }}#ways">another way in</a>.</p>
    @elseif ($page->isToBeReminded())
        <p class="measure">No answer yet: these words remind them.</p>
    @endif
    <div x-data="act" data-words="{{ $page->letter() }}" data-asks="" class="vstack gap-2 measure">
        <p class="card card-body lines breaks">{{ $page->letter() }}</p>
        <div class="hstack gap-2"><x-button small key="c" type="button" @click="copy">Copy the words</x-button>
            @if ($page->mail())<x-button small key="m" :href="$page->mail()">Write a mail</x-button>@endif
            @can('update', $page->ask)
                @if ($page->isToBeReminded() && ! $page->isHopeless())
                    <x-form :to="route('asks.update', $page->ask)" method="patch"><x-button small primary key="r"
                        name="reminded" value="1">They are reminded</x-button></x-form>
                @endif
            @endcan</div>
        <p class="small text-body-secondary" role="status" x-text="told" x-show="told"></p>
    </div>
    @can('update', $page->ask)
        <div class="d-flex flex-wrap gap-2 mt-3">
            <x-form :to="route('asks.update', $page->ask)" method="patch" class="hstack gap-2 align-items-end">
                <x-field small label="What became of it" name="state" :value="$page->ask->state->value"
                    :options="App\View\Choices::of(App\Models\AskState::class)" />
                <x-button small>Keep it</x-button></x-form>
            @if ($page->ask->thanked_at === null)
                <x-form :to="route('asks.update', $page->ask)" method="patch" class="align-self-end"><x-button small
                    name="thanked" value="1">They are thanked</x-button></x-form>
            @endif
        </div>
    @endcan
</x-layout>
