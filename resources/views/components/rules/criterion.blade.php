@props(['row', 'met' => ''])
@use('Luftig\Core\Fit\CriterionField')
@use('Luftig\Core\Fit\Mode')
@use('App\View\Choices')
<div class="border-bottom py-3" data-one>
    <div class="row g-2 align-items-end">
        <x-field width="col-6 col-md-4" label="Name of the criterion" :name="$row->name('name')"
            :value="$row->given('name')" maxlength="100" />
        <x-field width="col-6 col-md-4" label="Looks at" :name="$row->name('field')"
            :options="Choices::of(CriterionField::class)" :value="$row->field()->value"
            hx-get="{{ route('rules.values', ['key' => $row->key]) }}" hx-target="next .criterion-values"
                hx-trigger="change"
            hx-sync="this:replace" />
        <x-field width="col-5 col-md-2" label="It" :name="$row->name('mode')" :options="Choices::of(Mode::class)"
            :value="$row->mode()" />
        <x-field width="col-4 col-md-1" label="Weight" :name="$row->name('weight')" :value="$row->given('weight')"
            inputmode="decimal" />
        <div class="col-auto ms-auto"><button class="btn-close mb-2" type="button" @click="remove"
            aria-label="Remove this criterion"></button></div>
    </div>
    <div class="criterion-values mt-2"><x-rules.values :$row /></div>
    <span id="met-{{ $row->key }}" class="small text-body-secondary" aria-label="How many accounts meet it">{{
        $met }}</span>
</div>
