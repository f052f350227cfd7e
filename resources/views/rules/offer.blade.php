<x-section title="The offer" class="measure mt-4">
    <x-form :to="route('offers.update', $page->offer)" method="patch" class="vstack gap-3 align-items-start mt-2">
        <div class="row g-3 w-100">
            <x-field width="col-md-5" label="Name" name="name" required maxlength="60"
                :value="old('name', $page->offer->name)" />
            <x-field width="col-md-7" label="What it is" name="about" maxlength="190"
                :value="old('about', $page->offer->about)" />
            <x-field width="col-12" label="The question with which a draft ends" name="question" maxlength="190"
                placeholder="May I ask who looks after that with you?"
                    :value="old('question', $page->offer->question)" />
        </div>
        <x-button>Keep the offer</x-button>
    </x-form>
</x-section>
<x-section title="Functions of our own" class="measure mt-4" id="functions">
    <p class="text-body-tertiary py-2">Work that no function here names, told by the words of titles. Roles can ask for
        it, and the Finder finds it; it holds for all offers.</p>
    @foreach ($page->ownFunctions() as $one)
        <x-form :to="route('functions.destroy', $one['function'])" method="delete"
            class="hstack gap-2 border-bottom py-2">
            <span><strong>{{ $one['name'] }}</strong> <span
                class="small text-body-secondary">{{ $one['words'] }}</span></span>
            <x-button small kind="link" class="ms-auto"
                aria-label="Remove the function {{ $one['name'] }}">Remove</x-button></x-form>
    @endforeach
    <x-form :to="route('functions.store')" class="row g-3 mt-0 align-items-start">
        <x-field width="col-md-4" label="Name" name="function" required maxlength="40" :value="old('function')"
            placeholder="tooling" />
        <div class="col-md-8"><x-query name="words" label="Words in titles, as a query" required :value="old('words')"
            placeholder="toolmaker* OR werkzeugbau" most="2000" /><x-wrong for="words" /></div>
        <div class="col-12"><x-button>Add the function</x-button></div>
    </x-form>
</x-section>
<x-section title="Titles that cannot be read" class="measure mt-4" id="titles">
    <p class="text-body-tertiary py-2">{{ $page->unread() }}</p>
    <x-wrong for="seniority" />
    @foreach ($page->titles() as $title => $n)
        <details class="border-bottom"><summary class="py-2"><span class="d-inline-flex w-90">{{ $title }}
            <span class="ms-auto text-body-secondary">{{ $n }}</span></span></summary>
            <x-teach :text="$title" :reading="Luftig\Core\Person\Title::unknown()" /></details>
    @endforeach
    @if ($page->lessons() !== [])
        <h3 class="mt-3">Taught</h3>
        @foreach ($page->lessons() as $one)
            <x-form :to="route('titles.destroy', $one['lesson'])" method="delete"
                class="hstack gap-2 border-bottom py-2">
                <span>{{ $one['says'] }} <span class="small text-body-secondary">{{ $one['by'] }}</span></span>
                <x-button small kind="link" class="ms-auto"
                    aria-label="Undo the lesson on {{ $one['lesson']->title }}">Undo</x-button></x-form>
        @endforeach
    @endif
</x-section>
