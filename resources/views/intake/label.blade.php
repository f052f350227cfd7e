<x-form :to="route('labels.update', $one['label'])" method="patch" class="border-top py-2">
    <p class="breaks"><strong>{{ $one['label']->label }}</strong> <span
        class="small text-body-secondary">{{ $one['used'] }}</span></p>
    <div class="d-flex gap-2 mt-1">
        <x-field hidden class="flex-grow-1 min-w-0" :label="'What '.$one['label']->label.' means'"
            name="code" list="industries" autocomplete="off" placeholder="type a word or an ISIC code"
            :value="$page->industry($one['label']->code ?? $one['label']->suggested)" />
        <x-button>{{ $one['label']->code === null ? 'Decide' : 'Change' }}</x-button></div>
</x-form>
