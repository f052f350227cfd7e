<x-layout title="Reason for {{ $page->account() }}" at="reasons">
    <x-back :to="$page->back()">Reasons</x-back>
    <div class="row g-4">
        <div class="col-lg-8 vstack gap-3">
            <div><h1 class="breaks"><a class="text-body"
                href="{{ route('accounts.show', $page->reason->account_id) }}">{{ $page->account() }}</a></h1>
                <p class="text-body-tertiary mt-1">{{ $page->about() }}</p></div>
            <p class="card card-body fs-5 lh-base lines breaks">{{ $page->reason->words }}</p>
            @if ($page->isReady() && $page->ways)
                <div x-data="act" data-words="{{ $page->reason->words }}" data-asks="done"><x-acts
                    :ways="$page->ways" /></div>
                <x-done :ways="$page->ways" />
            @endif
            <p>@if ($page->isUsed()) Used. @elseif ($page->isExpired()) <strong
                class="text-danger">{{ $page->expired() }}</strong>: {{ $page->why() }}
                <a href="{{ route('reasons.create', $page->reason->account_id) }}">Look for a newer one</a>
                @else {{ $page->until() }} @endif</p>
            @foreach ($page->approaches() as $one)<x-approach :$one />@endforeach
            @if ($page->isReady())
                <x-form :to="route('approaches.store', $page->reason)" class="vstack gap-3 align-items-start">
                    <h2>Approached them?</h2>
                    <x-approach-fields :kind="$page->reason->channel ?? 'email'" />
                    <x-button kind="primary">Record the approach</x-button></x-form>
            @endif
            @can('delete', $page->reason)
                @unless ($page->isUsed())
                    <x-form :to="route('reasons.destroy', $page->reason)" method="delete"><x-button kind="danger">Remove
                        the reason</x-button></x-form>
                @endunless
            @endcan
        </div>
        <div class="col-lg-4">
            <section class="card card-body">
                <h2>The evidence as it was</h2>
                <p class="small text-body-secondary mb-2">{{ $page->frozen() }}</p>
                @foreach ($page->signals() as $signal)
                    <div class="border-top py-2"><strong>{{ $signal['title'] }}</strong>
                        <p class="small text-body-secondary">{{ $signal['about'] }}@if ($signal['link']) ·
                            <a href="{{ $signal['link'] }}" rel="noreferrer noopener" target="_blank">source
                                page</a>@endif</p>
                        @if ($signal['quote'])<blockquote>{{ $signal['quote'] }}</blockquote>@endif</div>
                @endforeach
                @foreach ($page->facts() as $fact)<p class="border-top py-2">{{ $fact }}</p>@endforeach
            </section>
        </div>
    </div>
</x-layout>
