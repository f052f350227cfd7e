<x-layout title="Look up addresses" at="look-ups">
    <x-back :to="route('look-ups')">Look-ups</x-back>
    <h1 class="breaks">Look up addresses: {{ $page->name }}</h1>
    <p class="mt-2 measure">{{ $page->says() }}</p>
    <div class="row g-4 mt-0">
        <div class="col-lg-5">
            @if ($page->obstacle())<p class="alert alert-primary">{{ $page->obstacle() }}</p>@endif
            <x-wrong :for="['contacts', 'list']" />
            @if ($page->obstacle() === null)
                <x-form :to="route('look-ups.store')" class="card card-body vstack gap-3">
                    @if ($page->list)<input type="hidden" name="list" value="{{ $page->list }}">
                    @else @foreach ($page->contacts() as $contact)<input type="hidden" name="contacts[]"
                        value="{{ $contact }}">@endforeach @endif
                    @if ($page->least !== null)<input type="hidden" name="least" value="{{ $page->least }}">@endif
                    <x-field label="Take at most so many credits" name="most" type="number" min="0.1" step="any"
                        required :value="old('most', $page->proposedMost())" />
                    <x-field label="Be content with" name="accepts_doubtful" :value="old('accepts_doubtful', 0)"
                        :options="[0 => 'a checked address', 1 => 'a doubtful one too, where nothing contradicts']" />
                    <p class="form-text">Asked are {{ $page->order() }}. What is found is paid, what is not is not. It
                        can be stopped at any moment.</p>
                    <div><x-button kind="primary">Ask for {{ App\Support\Format::count($page->outlook->people, 'person',
                        'people') }}</x-button></div>
                </x-form>
            @endif
        </div>
        <div class="col-lg-7 vstack gap-3">
            @if ($page->others() !== [])
                <x-section title="Not asked for">
                    @foreach ($page->others() as $one)<p class="border-bottom py-2 mb-0">{{ $one }}</p>@endforeach
                </x-section>
            @endif
            @if ($page->list)
                <x-section title="Only some of them">
                    <x-form :to="route('look-ups.create')" method="get" class="hstack gap-2 align-items-end mt-2">
                        <input type="hidden" name="list" value="{{ $page->list }}">
                        <x-field label="Of accounts with at least this priority" name="least" type="number" min="0"
                            max="100" :value="$page->least" />
                        <x-button>Show</x-button>
                    </x-form>
                </x-section>
            @endif
        </div>
    </div>
</x-layout>
