@use('App\Models\LookUpService')
<x-layout :title="$service->exists ? $service->name : 'A new service'" at="look-ups">
    <x-back :to="route('look-ups')">Look-ups</x-back>
    <h1>{{ $service->exists ? 'Change '.$service->name : 'A new service' }}</h1>
    <p class="text-body-tertiary mt-2 measure">An outside service that finds addresses of people, says whether an
        address works, or knows the heads and the revenue of companies. It is asked in JSON over the web;
        docs/look-ups.md says in which words.</p>
    <x-form :to="$service->exists ? route('services.update', $service) : route('services.store')"
        :method="$service->exists ? 'put' : 'post'" class="card card-body vstack gap-3 col-lg-6 mt-3">
        <x-field label="Name" name="name" required maxlength="60" :value="old('name', $service->name)" />
        <x-field label="What it does" name="does" :options="[LookUpService::FINDS => 'finds addresses',
            LookUpService::CHECKS => 'checks addresses', LookUpService::KNOWS => 'knows figures of companies']"
            :value="old('does', $service->does)" />
        <x-field label="Address" name="address" type="url" required maxlength="500"
            :value="old('address', $service->address)" placeholder="https://finder.example/v1" />
        <x-field label="What it knows us by" name="secret" type="password" maxlength="500" autocomplete="off"
            :hint="$service->secret ? 'One is kept; leave this empty to keep it.'
                : 'Sent with each question, if set.'" />
        <x-field label="Credits for each that it finds" name="price" type="number" min="0" max="1000" step="any"
            required :value="old('price', $service->price)" />
        <x-field label="Its place in the order, the first is 0" name="position" type="number" min="0" max="99" required
            :value="old('position', $service->position)" />
        <div><x-button kind="primary">{{ $service->exists ? 'Save' : 'Add the service' }}</x-button></div>
    </x-form>
</x-layout>
