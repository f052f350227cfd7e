<x-section title="Channels">
    @if ($page->steps?->says())<p class="pb-2" data-steps title="{{ $page->steps->why() }}">{{ $page->steps->says() }}
        <span class="text-body-tertiary">{{ $page->steps->hour() }}</span></p>@endif
    @forelse ($page->channels() as $channel)
        <div class="hstack gap-2 border-bottom py-2 align-items-start">
            <div class="breaks">{{ $channel['value'] }}<br><span
                class="small text-body-secondary">{{ $channel['about'] }}</span>
                @if ($channel['states'] !== [])<x-form class="hstack gap-3" method="patch"
                    :to="route('channels.update', [$page->contact, $channel['channel']])">
                    @foreach ($channel['states'] as $state => $says)<button class="btn btn-sm btn-link p-0" name="state"
                        value="{{ $state }}" aria-label="{{ $channel['value'] }}: {{ $says }}">{{
                            $says }}</button>@endforeach</x-form>@endif</div>
            <span class="ms-auto text-body-secondary" title="Worth">{{ $channel['worth'] }}</span></div>
    @empty<p class="text-body-tertiary py-2">No channel is known.</p>@endforelse
    @if (($guesses = $page->guesses()) !== [])
        <p class="small text-body-secondary mb-0 pt-2">Likely addresses, {{ $page->guessedFrom() }}</p>
        @foreach ($guesses as $address => $chance)
            <x-form :to="route('channels.guess', $page->contact)" class="hstack gap-2 py-1"><span
                class="breaks">{{ $address }}</span><span class="ms-auto text-body-secondary">{{ $chance }}</span>
                <input type="hidden" name="value" value="{{ $address }}"><x-button small>Keep</x-button></x-form>
        @endforeach
    @endif
    @if ($page->mayLookUp())<x-button small class="mt-2" :href="route('look-ups.create', ['contacts' => [
        $page->contact->id]])">Look up an address</x-button>@endif
    <x-more says="Add a channel" class="py-2" :open="$errors->hasAny(['type', 'value'])">
        <x-form :to="route('channels.store', $page->contact)" class="vstack gap-2 align-items-start mt-2">
            <x-field class="w-100" label="It is" name="type" :options="$page->channelTypes()" :value="old('type')" />
            <x-field class="w-100" label="Address or number" name="value" required maxlength="190"
                :value="old('value')" />
            <x-button small>Add</x-button>
        </x-form>
    </x-more>
</x-section>
<x-section title="Relations">
    @forelse ($page->relations() as $tie)
        <div class="hstack gap-2 border-bottom py-2 align-items-start"><div><strong>{{ $tie['who'] }}</strong><br>
            <span class="small text-body-secondary">{{ $tie['because'] }}</span></div>
            <span class="ms-auto text-body-secondary text-nowrap"
                title="How well they know each other">{{ $tie['strength'] }}</span></div>
    @empty<p class="text-body-tertiary py-2">Known to nobody of us.</p>@endforelse
</x-section>
<x-section title="Ways in" about="strength" id="ways"><x-wrong for="path" /><x-ways-in :ways="$page->waysIn()"
    :asked="$page->asked()" /><p class="mt-2 mb-0"><a href="{{ route('network.around', $page->contact) }}">Draw who is
        near them</a></p></x-section>
<x-notes :notes="$page->contact->notes" :account="$page->account" :contact="$page->contact" />
@if ($page->reasons->isNotEmpty() || $page->approaches->isNotEmpty())
    <x-section title="Reasons and approaches">
        @foreach ($page->reasons as $reason)
            <p class="small border-bottom py-2"><a href="{{ route('reasons.show',
                $reason) }}">{{ App\Support\Format::cut($reason->words, 90) }}</a>
                <span class="text-body-secondary">{{ $reason->user->name }}, <x-ago
                    :time="$reason->created_at" /></span></p>
        @endforeach
        @foreach ($page->approaches as $approach)
            <p class="small border-bottom py-2"><x-ago :time="$approach->made_at" />: {{ $approach->kind->label() }},
                {{ $approach->user?->name ?? 'somebody' }} ·
                    <strong>{{ $approach->result?->label() ?? 'no result yet' }}</strong></p>
        @endforeach
    </x-section>
@endif
<x-section title="Known, and from where">
    <x-facts :facts="$page->facts()" class="mt-2" />
    <p class="mt-2"><a href="{{ route('contacts.known', $page->contact) }}">All that is kept of this person,
        as a file</a></p>
    @can('erase', $page->contact)<x-button small kind="danger" class="mt-2" opens="erase">Erase on
        request</x-button>@endcan
</x-section>
