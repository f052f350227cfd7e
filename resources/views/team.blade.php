<x-layout title="Team" at="team">
    <x-heading title="Team"><x-button :href="route('status')">Is all well?</x-button><x-button
        :href="route('events.index')">Who is told</x-button><x-button
        :href="route('log')">The log</x-button></x-heading>
    <p class="text-body-tertiary mt-2">Who signs in, and leaders and colleagues who never do but know many people.</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-8">
            <x-wrong :for="['name', 'email', 'role', 'password']" />
            @foreach ($people as $person)
                <details class="border-bottom">
                    <summary class="py-2"><span class="d-inline-flex w-90
                        column-gap-2"><strong>{{ $person->name }}</strong>
                        <span class="text-body-secondary">{{ $person->email ?? 'does not sign in' }}</span>
                        <span class="ms-auto">{{ $person->role->value }}</span></span></summary>
                    @can('update', $person)
                        <x-form :to="route('team.update', $person)" method="patch" class="row g-3 pb-3">
                            @include('team-fields', ['person' => $person])
                            <div class="col-12"><x-button>Keep</x-button></div></x-form>
                    @else<p class="text-body-secondary pb-3">Only an admin changes an admin.</p>@endcan
                </details>
            @endforeach
        </div>
        <div class="col-lg-4 vstack gap-3">
            <x-form :to="route('team.store')" class="card card-body"><h2>Somebody new</h2>
                <div class="row g-3 mt-0">@include('team-fields', ['person' => null])
                    <div class="col-12"><x-button kind="primary">Add</x-button></div></div></x-form>
            <x-form :to="route('offers.store')" class="card card-body vstack gap-3 align-items-start"><h2>A new
                offer</h2>
                <x-field class="w-100" label="Name of the offer" name="name" required maxlength="60" />
                <x-field class="w-100" label="What it is" name="about" maxlength="190" />
                <x-button>Begin its rules</x-button></x-form>
        </div>
    </div>
</x-layout>
