<x-layout title="Team" at="">
    <h1>Team</h1>
    <p class="soft above">Who signs in, and leaders and colleagues who never do but know many people.</p>
    <div class="two gap">
        <div>
            @foreach ($people as $person)
                <details class="point"><summary style="padding-left: 14px"><span><strong>{{ $person->name }}</strong> <span class="muted">{{ $person->email ?? 'does not sign in' }}</span></span><span>{{ $person->role->value }}</span></summary>
                    @can('update', $person)
                        <form method="post" action="{{ route('team.update', $person) }}" class="grid" style="padding: 6px 0 14px 14px">@csrf @method('PATCH')
                            @include('team-fields', ['person' => $person])
                            <div style="align-self: end"><button class="button">Keep</button></div></form>
                    @else <p class="muted" style="padding: 0 14px 12px">Only an admin changes an admin.</p> @endcan
                </details>
            @endforeach
            <x-wrong :for="['name', 'email', 'role', 'password']" />
        </div>
        <div class="stack aside">
            <form method="post" action="{{ route('team.store') }}" class="card stack">@csrf
                <h2>Somebody new</h2>
                @include('team-fields', ['person' => null])
                <button class="button primary">Add</button>
            </form>
            <form method="post" action="{{ route('offers.store') }}" class="card stack">@csrf
                <h2>A new offer</h2>
                <label class="field"><span>Name of the offer</span><input name="name" required maxlength="60"></label>
                <label class="field"><span>What it is</span><input name="about" maxlength="190"></label>
                <button class="button">Begin its rules</button>
            </form>
        </div>
    </div>
</x-layout>
