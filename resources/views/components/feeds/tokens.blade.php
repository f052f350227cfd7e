{{-- Who may post as this source, and how. --}}
@props(['page'])
<x-section title="Tokens" class="mt-3">
    @if (session('token'))
        <div class="alert alert-success mt-2" role="status">
            <p>The token, shown this once. Whoever has it can post as this source:</p>
            <p><code class="breaks" id="token">{{ session('token') }}</code></p>
            <p class="mt-2">An example to try:</p>
            <pre class="small mb-0 breaks" tabindex="0">{{ $page->example(session('token')) }}</pre>
        </div>
    @endif
    @foreach ($page->tokens() as $token)
        <div class="hstack gap-3 border-bottom py-2">
            <span>{{ $token['says'] }}</span>
            @can('update', $page->feed())<x-form :to="route('webhooks.revoke', [$page->feed(), $token['id']])"
                method="delete" class="ms-auto"><x-button small kind="link"
                aria-label="Revoke the token for {{ $token['says'] }}">Revoke</x-button></x-form>@endcan
        </div>
    @endforeach
    @can('update', $page->feed())
        <x-form :to="route('webhooks.token', $page->feed())" class="hstack gap-3 flex-wrap py-2 align-items-end">
            <x-scopes legend="What it may post" :scopes="App\Http\Requests\WebhookRequest::SCOPES"
                :ticked="['signals']" /><x-button small>Make another token</x-button></x-form>
    @endcan
</x-section>
