@props(['kind' => 'email'])
<div class="row g-3">
    <x-field width="col-12" label="How" name="kind" :options="App\View\Choices::of(App\Models\ApproachKind::class)"
        :value="old('kind', $kind)" />
    <x-field width="col-7" label="Next step, if any" name="next_step" :value="old('next_step')" maxlength="190" />
    <x-field width="col-5" label="On" name="next_step_on" type="date" :value="old('next_step_on')"
        :min="today()->toDateString()" />
</div>
