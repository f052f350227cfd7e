<x-form :to="route('begin.sells')" class="card card-body vstack gap-3 align-items-start measure">
    <h2>What we sell</h2>
    <x-field class="w-100" label="Name of the offer" name="name" required maxlength="60" autofocus
        :value="old('name', $page->name())" placeholder="Leak survey" />
    <x-field class="w-100" label="What it is, in a sentence" name="about" maxlength="190"
        :value="old('about', $page->offer->about)"
        placeholder="Clamp-on meters, and a service that finds leaks in compressed-air networks" />
    <x-field class="w-100" label="The question with which a draft ends" name="question" maxlength="190"
        :value="old('question', $page->offer->question)" placeholder="How do you know what your air network loses?" />
    <x-button kind="primary">Next: whom it serves</x-button>
</x-form>
