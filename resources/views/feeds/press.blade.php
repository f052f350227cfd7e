<x-layout title="What the press tells" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1>What the press tells</h1>
    <p class="text-body-tertiary mt-2 measure">A report is about the first of these whose query its headline, or else
        its text, meets; where none does, it is news. A change holds for what comes from now on.</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-8">
            @foreach ($page->classes as $class)
                <x-more :says="$page->says($class)" class="border-bottom py-2"
                    :open="$errors->any() && (int) old('class') === $class->id">
                    @can('update', $class)
                        <x-form :to="route('press.update', $class)" method="put" class="vstack gap-2 mt-2">
                            <x-feeds.press-class :class="$class" :kinds="$page->kinds()" />
                            <div class="hstack gap-2"><x-button small kind="primary">Save</x-button>
                                <x-feeds.press-try /></div>
                        </x-form>
                        <x-form :to="route('press.destroy', $class)" method="delete" class="mt-2"><x-button small
                            kind="link" aria-label="Remove {{ $class->name }}">Remove</x-button></x-form>
                    @else<p class="small mt-2 breaks">{{ $class->query }}</p>@endcan
                </x-more>
            @endforeach
            @can('create', App\Models\PressClass::class)
                <x-more says="Another one" class="py-2" :open="$errors->any() && old('class') === null">
                    <x-form :to="route('press.store')" class="vstack gap-2 mt-2">
                        <x-feeds.press-class :kinds="$page->kinds()" />
                        <div class="hstack gap-2"><x-button small kind="primary">Add it</x-button>
                            <x-feeds.press-try /></div>
                    </x-form>
                </x-more>
            @endcan
        </div>
        <div class="col-lg-4" id="press-trial" aria-live="polite"></div>
    </div>
</x-layout>
