<div class="vstack gap-4">
    <x-intake.upload :megabytes="$page->megabytes()" title="Bring accounts, contacts, customers, signals" />
    @if ($page->drafts() !== [])
        <x-section title="Looked at, and not brought in yet">
            <ul class="list-unstyled mb-0">
                @foreach ($page->drafts() as $intake)
                    <li class="border-bottom py-2"><a class="fw-semibold"
                        href="{{ route('intake.show', $intake) }}">{{ $intake->name }}</a>
                        <span class="text-body-secondary">{{ $intake->kind->value }}</span></li>
                @endforeach
            </ul>
        </x-section>
    @endif
    <div><x-button :href="route('begin', ['step' => 5])">The first ten</x-button></div>
</div>
