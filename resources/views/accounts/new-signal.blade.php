<x-confirm id="new-signal" title="Add a signal of {{ $page->account->name }}"
    :to="route('signals.store', $page->account)" does="Add"
    :opens="$errors->hasAny(['kind', 'date', 'title', 'quote', 'link', 'person', 'amount', 'round', 'row'])">
    <x-wrong for="row" />
    <div class="row g-3">
        <x-field width="col-md-6" label="What sort" name="kind" :options="$page->kinds()" :value="old('kind')" />
        <x-field width="col-md-6" label="On the day" name="date" required maxlength="60"
            :value="old('date', today()->toDateString())" />
        <x-field width="col-12" label="What happened" name="title" required maxlength="255" :value="old('title')" />
        <x-field width="col-12" label="In their words" name="quote" lines="2" maxlength="5000" :value="old('quote')" />
        <x-field width="col-12" label="Link" name="link" maxlength="500" :value="old('link')" />
        <x-field width="col-md-6" label="E-mail address of the person" name="person" maxlength="190"
            :value="old('person')" />
        <x-field width="col-md-6" label="Technology" name="technology" maxlength="100" :value="old('technology')" />
        <x-field width="col-md-6" label="Amount" name="amount" maxlength="60" :value="old('amount')" />
        <x-field width="col-md-6" label="Round" name="round" maxlength="20" :value="old('round')" />
    </div>
</x-confirm>
