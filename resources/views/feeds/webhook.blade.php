<x-layout title="A new webhook" at="intake">
    <x-back :to="route('intake.index')">Intake</x-back>
    <h1>A new webhook</h1>
    <p class="text-body-tertiary mt-2 measure">A source that posts to us as things happen, as CloudEvents 1.0 in JSON:
        our own traces, interest in our topics, facts of accounts. It gets a token that it is shown once.</p>
    <x-form :to="route('webhooks.store')" class="card card-body vstack gap-3 mt-3 measure">
        <x-field label="Name" name="name" required maxlength="100" :value="old('name')"
            placeholder="Our own pages" />
        <x-field label="How sure what it says is" name="confidence" required maxlength="10"
            :value="old('confidence', '90 %')" />
        <x-scopes legend="What it may post" :scopes="App\Http\Requests\WebhookRequest::SCOPES"
                :ticked="['signals']" />
        <x-button kind="primary" class="align-self-start">Let it post</x-button>
    </x-form>
</x-layout>
