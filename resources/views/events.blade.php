<x-layout title="Who is told" at="team">
    <x-back :to="route('team.index')">Team</x-back>
    <h1>Who is told</h1>
    <p class="text-body-tertiary mt-2 measure">Programs of yours are told of each new reason and result as it is
        recorded: a CloudEvent in JSON, posted to their address and signed. Who does not answer is told again, seven
        times within two days.</p>
    @if ($secret = session('secret'))
        <div class="card card-body breaks measure mt-3" role="status"><span>What is sent is signed with this secret, so
            that nobody else can tell them anything. It is shown this once:</span><code data-secret>{{ $secret
            }}</code></div>
    @endif
    <div class="measure mt-3" data-targets>
        @foreach ($page->targets as $one)
            <div class="hstack gap-2 border-bottom py-2"><span class="breaks">{{ $one['target']->name }}<br><span
                class="small text-body-secondary">{{ $one['target']->address }} · {{ $one['says'] }}</span>
                @if ($one['problem'])<br><span class="small text-danger">{{ $one['problem'] }}</span>@endif</span>
                <span class="ms-auto hstack gap-2">
                    @if ($one['failed'] > 0)<x-form :to="route('events.again', $one['target'])"><x-button small>Send
                        again</x-button></x-form>@endif
                    <x-form :to="route('events.update', $one['target'])" method="patch"><x-button small>{{
                        $one['target']->paused ? 'Go on' : 'Pause' }}</x-button></x-form>
                    <x-form :to="route('events.destroy', $one['target'])" method="delete"><x-button small
                        kind="danger">Remove</x-button></x-form></span></div>
        @endforeach
    </div>
    <x-form :to="route('events.store')" class="card card-body vstack gap-3 mt-4 measure">
        <x-field label="Who is told" name="name" required maxlength="100" :value="old('name')"
            placeholder="Our books" />
        <x-field label="At which address" name="address" type="url" required maxlength="500" :value="old('address')"
            placeholder="https://books.example/events" />
        <x-button kind="primary" class="align-self-start">Tell them</x-button>
    </x-form>
</x-layout>
