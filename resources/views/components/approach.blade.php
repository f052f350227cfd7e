{{-- An approach with what came of it. --}}
@props(['one'])
<section class="card card-body vstack gap-2">
    <div class="hstack gap-2"><strong>{{ $one['title'] }}</strong>
        @can('update', $one['approach'])
            @if ($one['result'] === null)
                <x-form :to="route('approaches.destroy', $one['approach'])" method="delete" class="ms-auto">
                    <x-button small kind="link">Undo the approach</x-button></x-form>
            @endif
        @endcan
    </div>
    @if ($one['next'])<p>Next step: {{ $one['next'] }}</p>@endif
    @if ($one['result'])<p>Result: <strong>{{ $one['result'] }}</strong>{{ $one['after'] }}
        <span class="text-body-secondary"><x-ago :time="$one['approach']->result_at" /></span></p>@endif
    @can('update', $one['approach'])
        <x-form :to="route('approaches.update', $one['approach'])" method="patch" class="row g-2 align-items-end">
            <x-field width="col-md-4" label="Result" name="result"
                :value="old('result', $one['approach']->result?->value)"
                :options="['' => 'what came of it …'] + App\View\Choices::of(App\Models\Result::class)" />
            <x-field width="col-6 col-md-3" label="Later: on" name="later_on" type="date"
                :min="today()->addDay()->toDateString()"
                :value="old('later_on', $one['approach']->later_on?->toDateString())" />
            <x-field width="col-6 col-md-3" label="Who instead" name="instead" maxlength="190"
                :value="old('instead', $one['approach']->instead)" />
            <div class="col-md-auto"><x-button>Record the result</x-button></div>
        </x-form>
    @endcan
</section>
