@props(['row', 'offer'])
<div class="border-bottom py-3" data-one>
    <div class="row g-2">
        <x-field width="col-8 col-md-5" label="Name" :name="$row->name('name')" :value="$row->given('name')"
            maxlength="60" />
        <x-field width="col-3 col-md-2" label="Weight" :name="$row->name('weight')" :value="$row->given('weight', '1')"
            inputmode="decimal" />
        <div class="col-auto ms-auto"><button class="btn-close" type="button" @click="remove"
            aria-label="Remove this role"></button></div>
        <div class="col-md-7"><x-query :name="$row->name('include')" label="Titles in, as a query"
            :value="$row->given('include')" /></div>
        <div class="col-md-5"><x-query :name="$row->name('exclude')" label="Titles out"
            :value="$row->given('exclude')" /></div>
    </div>
    <x-more :says="'Functions: '.$row->functions('none yet')" class="small py-2">
        <x-rules.functions label="Functions" :$row list="functions" />
        <x-rules.functions label="Neighbouring functions, which count .4" :$row list="neighbours" />
        <x-field label="Titles in one country only, a line each, as DE: versorgungstechnik*"
            :name="$row->name('variants')" lines="2" maxlength="2000"
            :value="$row->variants()" />
    </x-more>
    <x-button small kind="link" class="px-0" type="button"
        hx-post="{{ route('rules.matches', [$offer, 'role' => $row->key]) }}"
        hx-target="next .role-found" hx-include="closest form" hx-sync="this:replace"
            hx-trigger="click, change from:closest [data-one] delay:400ms">Who matches, and
        who just misses</x-button>
    <div class="role-found" aria-live="polite"></div>
</div>
