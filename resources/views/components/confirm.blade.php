{{-- Asks once more before what cannot be undone, or takes what has to be known first. --}}
@props(['id', 'title', 'to', 'does', 'method' => 'post', 'kind' => 'primary', 'opens' => false])
<x-modal :$id :$title :$opens>
    <x-form :$to :$method class="vstack gap-3">
        {{ $slot }}
        <div class="hstack gap-2">
            <x-button :$kind>{{ $does }}</x-button>
            <x-button type="button" data-bs-dismiss="modal">Leave it</x-button>
        </div>
    </x-form>
</x-modal>
