@props(['row'])
<div class="border-bottom py-3" data-one>
    <div class="row g-2">
        <x-field width="col-11 col-md-4" label="Name" :name="$row->name('name')" :value="$row->given('name')"
            maxlength="60" />
        <div class="col-auto ms-auto order-md-last"><button class="btn-close" type="button" @click="remove"
            aria-label="Remove this topic"></button></div>
        <div class="col-md-7"><x-query :name="$row->name('query')" label="Words of the post, as a query"
            :value="$row->given('query')" /></div>
    </div>
</div>
