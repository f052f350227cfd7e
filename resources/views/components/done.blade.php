@props(['ways', 'id' => 'done'])
<x-modal :$id title="Was it done?">
    <x-form :to="$ways->records" class="vstack gap-3">
        @if ($ways->contact)<input type="hidden" name="contact" value="{{ $ways->contact }}">@endif
        <input type="hidden" name="words" value="{{ $ways->words }}">
        @if ($ways->angle)<input type="hidden" name="angle" value="{{ $ways->angle }}">@endif
        <x-approach-fields />
        <div class="hstack gap-2">
            <x-button kind="primary" data-first>Yes, record it</x-button>
            <x-button type="button" data-bs-dismiss="modal">Not yet</x-button>
        </div>
    </x-form>
</x-modal>
