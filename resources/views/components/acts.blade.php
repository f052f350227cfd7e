@props(['ways'])
<div class="d-flex flex-wrap align-items-center gap-2">
    {{ $slot }}
    <x-button small key="c" type="button" @click="copy">Copy the words</x-button>
    @if ($ways->mail)<x-button small key="m" :href="$ways->mail" @click="email">Write a mail</x-button>@endif
    @if ($ways->phone)<x-button small key="h" :href="$ways->phone" @click="call">Call</x-button>@endif
    @if ($ways->profile)<x-button small key="o" :href="$ways->profile" target="_blank" rel="noreferrer noopener"
        @click="profile">Profile</x-button>@endif
</div>
@if ($ways->file || $ways->card)
    <p class="small mb-0">@if ($ways->file)<a href="{{ $ways->file }}">The mail as a file</a>@endif
        @if ($ways->file && $ways->card) · @endif
        @if ($ways->card)<a href="{{ $ways->card }}">vCard</a>@endif</p>
@endif
@if ($ways->sheet)
    <x-more says="Call sheet" class="small"><p class="lines breaks mb-0 mt-1">{{ $ways->sheet }}</p></x-more>
@endif
<p class="small text-body-secondary" role="status" x-text="told" x-show="told"></p>
