<x-confirm id="new-person" title="Add a person at {{ $page->account->name }}"
    :to="route('contacts.store', $page->account)" does="Add"
    :opens="$errors->hasAny(['first_name', 'last_name', 'title', 'email', 'phone', 'since'])
        || request()->filled('last_name')">
    <div class="row g-3">
        <x-field width="col-md-6" label="First name" name="first_name" maxlength="100"
            :value="old('first_name', request('first_name'))" />
        <x-field width="col-md-6" label="Last name" name="last_name" maxlength="100"
            :value="old('last_name', request('last_name'))" />
        <x-field width="col-md-6" label="Title" name="title" maxlength="190" :value="old('title')" />
        <x-field width="col-md-6" label="In the position since" name="since" type="date" :max="today()->toDateString()"
            :value="old('since')" />
        <x-field width="col-md-6" label="E-mail address" name="email" type="email" maxlength="190"
            :value="old('email', request('email'))" />
        <x-field width="col-md-6" label="Direct phone" name="phone" maxlength="60" :value="old('phone')" />
    </div>
</x-confirm>
