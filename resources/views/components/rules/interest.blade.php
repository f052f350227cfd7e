@props(['row'])
<div class="border-bottom py-3" data-one>
    <div class="row g-2">
        <x-field width="col-11 col-md-4" label="Name" :name="$row->name('name')" :value="$row->given('name')"
            maxlength="60" />
        <div class="col-auto ms-auto order-md-last"><button class="btn-close" type="button" @click="remove"
            aria-label="Remove this role of interest"></button></div>
        <div class="col-md-7"><x-query :name="$row->name('title_query')" label="Title of the opening, as a query"
            :value="$row->given('title_query')" /></div>
        <div class="col-md-7"><x-query :name="$row->name('text_query')" label="Text of the opening"
            :value="$row->given('text_query')" /></div>
        <x-field width="col-md-5" label="Employment types (none: full-time)" :name="$row->name('employment_types')"
            :value="$row->listed('employment_types')" maxlength="100" placeholder="full-time, part-time" />
    </div>
    <x-more :says="'Concerns whoever heads: '.$row->functions('nobody yet')" class="small py-2">
        <x-rules.functions label="Functions" :$row list="functions" />
    </x-more>
</div>
