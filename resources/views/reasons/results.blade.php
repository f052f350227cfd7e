@can('update', $row['open'])
    <x-form :to="route('approaches.update', $row['open'])" method="patch" class="d-flex flex-wrap gap-1 mt-1"
        aria-label="What came of it">
        <input type="hidden" name="later_on" value="{{ $page->later()->toDateString() }}">
        @foreach ($page->results() as $key => $one)
            <x-button small name="result" :value="$one['result']->value" :key="(string) $key">
                <x-key :of="(string) $key" /> {{ $one['says'] }}</x-button>
        @endforeach
    </x-form>
@endcan
