<x-layout :title="$page->title()" at="accounts">
    <x-back :to="$page->back()">{{ $page->account->name ?? 'Accounts' }}</x-back>
    <h1 class="breaks">{{ $page->title() }}</h1>
    <p class="text-body-tertiary mt-2">Written as a file would be read: numbers with their units, labels of industries,
        names of countries in any of our languages. What is left blank stays as it is.</p>
    <x-wrong for="row" />
    <x-form :to="$page->to()" :method="$page->account ? 'put' : 'post'" class="card card-body mt-3">
        <div class="row g-3">
            @foreach ($page->fields() as $field)
                <x-field :width="$field['isLong'] ? 'col-12' : 'col-md-6 col-lg-4'" :label="$field['label']"
                    :name="$field['name']" :value="$field['value']" :hint="$field['hint']"
                    :lines="$field['isLong'] ? 2 : null" :required="$field['name'] === 'name'"
                    :autofocus="$loop->first" maxlength="5000" />
            @endforeach
            <x-field width="col-md-6 col-lg-4" label="It is" name="status" :options="$page->statuses()"
                :value="old('status')" hint="who competes with us, and agencies, are kept out" />
            <div class="col-12"><x-tick name="customer_best" value="1" :checked="old('customer_best') === '1'"
                label="a customer among the best, since the day above" /></div>
        </div>
        <div class="hstack gap-2 mt-4"><x-button kind="primary">{{ $page->account ? 'Keep' : 'Add' }}</x-button>
            <x-button :href="$page->back()">Leave it</x-button></div>
    </x-form>
</x-layout>
